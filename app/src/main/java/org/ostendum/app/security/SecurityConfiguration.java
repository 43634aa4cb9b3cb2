package org.ostendum.app.security;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.ostendum.app.page.Problem;
import org.ostendum.app.security.Access.Route;
import org.ostendum.core.people.Role;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.session.jdbc.MySqlJdbcIndexedSessionRepositoryCustomizer;

/** Sign-in by form, routes by role, and what a browser may load: only what the application itself serves. */
@Configuration
class SecurityConfiguration {
    private static final String CONTENT_SECURITY_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "img-src 'self'; font-src 'self'; connect-src 'self'; form-action 'self'; frame-ancestors 'none'; "
            + "base-uri 'none'";

    private static final String SIGN_IN = "/sign-in";

    /** Sent with what a page asks for by itself. */
    private static final String PART = "HX-Request";

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Two requests of one sign-in may store the same attribute at once; MariaDB then updates it. */
    @Bean
    MySqlJdbcIndexedSessionRepositoryCustomizer sessionStatements() {
        return new MySqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /**
     * Programs send a token, or name and password, with every request and have no session. A page elsewhere cannot make a browser send
     * {@code application/json} without asking first, so that no token is wanted.
     */
    @Bean
    @Order(1)
    SecurityFilterChain programs(HttpSecurity http, PersonSignIn signIn, Tokens tokens, TokenHash hash)
            throws Exception {
        return http.securityMatcher("/api/**")
                .authenticationProvider(signIn)
                .authorizeHttpRequests(SecurityConfiguration::byRoute)
                .addFilterBefore(new TokenSignIn(tokens, hash), BasicAuthenticationFilter.class)
                .httpBasic(basic -> basic.authenticationEntryPoint(SecurityConfiguration::askForName))
                .exceptionHandling(failures -> failures.authenticationEntryPoint(SecurityConfiguration::askForName)
                        .accessDeniedHandler((request, response, denied) -> Problem.answer(
                                response, HttpStatus.FORBIDDEN, "", "Your role does not do this; ask a lead.")))
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    private static void askForName(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException failure)
            throws IOException {
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Basic realm=\"Ostendum\"");
        Problem.answer(
                response,
                HttpStatus.UNAUTHORIZED,
                "Authorization",
                "Send a token made under your name, or name and password.");
    }

    private static void byRoute(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry requests) {
        for (Route route : Access.ROUTES) {
            var matcher = PathPatternRequestMatcher.withDefaults().matcher(route.method(), route.pattern());
            if (route.open()) {
                requests.requestMatchers(matcher).permitAll();
            } else {
                requests.requestMatchers(matcher)
                        .hasAnyRole(route.roles().stream().map(Role::name).toArray(String[]::new));
            }
        }
        requests.dispatcherTypeMatchers(DispatcherType.ERROR).permitAll();
        // A path nobody declared: after sign-in it is a page that does not exist.
        requests.anyRequest().authenticated();
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, PersonSignIn signIn) throws Exception {
        return http.authenticationProvider(signIn)
                .authorizeHttpRequests(SecurityConfiguration::byRoute)
                .formLogin(form -> form.loginPage(SIGN_IN)
                        .loginProcessingUrl(SIGN_IN)
                        .usernameParameter("login")
                        .defaultSuccessUrl("/", false)
                        .failureHandler((request, response, failure) -> response.sendRedirect(
                                failure instanceof LockedException ? "/sign-in?wait" : "/sign-in?wrong")))
                .requestCache(cache -> cache.requestCache(pagesOnly()))
                .exceptionHandling(failures -> failures.authenticationEntryPoint(toSignIn()))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_SECURITY_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    /** After sign-in a person comes to the page he asked for, never to a part that some page asked for by itself. */
    private static RequestCache pagesOnly() {
        HttpSessionRequestCache cache = new HttpSessionRequestCache();
        cache.setRequestMatcher(request -> request.getMethod().equals("GET")
                && request.getHeader(PART) == null
                && String.valueOf(request.getHeader(HttpHeaders.ACCEPT)).contains(MediaType.TEXT_HTML_VALUE));
        return cache;
    }

    /** An open page stays as it is when its sign-in has ended: what was typed in it is not lost. */
    private static AuthenticationEntryPoint toSignIn() {
        LoginUrlAuthenticationEntryPoint page = new LoginUrlAuthenticationEntryPoint(SIGN_IN);
        return (request, response, failure) -> {
            if (request.getHeader(PART) == null) {
                page.commence(request, response, failure);
            } else {
                response.setHeader("HX-Reswap", "none");
                response.setStatus(HttpStatus.UNAUTHORIZED.value());
            }
        };
    }
}
