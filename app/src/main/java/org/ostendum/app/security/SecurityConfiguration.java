package org.ostendum.app.security;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.stream.Stream;
import org.ostendum.app.page.Problem;
import org.ostendum.app.people.People;
import org.ostendum.app.security.Access.Route;
import org.ostendum.core.people.Role;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.session.jdbc.MySqlJdbcIndexedSessionRepositoryCustomizer;

/** Sign-in by form, routes by role, and what a browser may load: only what the application itself serves. */
@Configuration
class SecurityConfiguration {
    private static final String CONTENT_SECURITY_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "img-src 'self'; font-src 'self'; connect-src 'self'; form-action 'self'; frame-ancestors 'none'; "
            + "base-uri 'none'";

    private static final String SIGN_IN = "/sign-in";

    /** Sessions of people last by the people's clock, however fast that of a demo runs. */
    private static final Clock CLOCK = Clock.systemUTC();

    /** Sent with what a page asks for by itself. */
    private static final String PART = "HX-Request";

    @Bean
    PersonSignIn personSignIn(
            People people,
            PasswordEncoder encoder,
            @Value("${ostendum.sign-in.strength}") int strength,
            SignInThrottle throttle) {
        return new PersonSignIn(people, encoder, PasswordHashes.nobodys(strength), throttle, CLOCK);
    }

    @Bean
    PasswordEncoder passwordEncoder(@Value("${ostendum.sign-in.strength}") int strength) {
        return PasswordHashes.encoder(strength);
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
    SecurityFilterChain programs(ChainDefaults defaults, PersonSignIn signIn, Tokens tokens, TokenHash hash) {
        return defaults.chain()
                .securityMatcher("/api/**")
                .authenticationManager(only(signIn))
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
            var asked = requests.requestMatchers(matchers(route));
            if (route.open()) {
                asked.permitAll();
            } else {
                asked.hasAnyRole(route.roles().stream().map(Role::name).toArray(String[]::new));
            }
        }
        requests.dispatcherTypeMatchers(DispatcherType.ERROR).permitAll();
        // A path nobody declared: after sign-in it is a page that does not exist.
        requests.anyRequest().authenticated();
    }

    /** The head of a page is answered by what answers the page, and is as shut as it. */
    private static RequestMatcher[] matchers(Route route) {
        return methods(route.method())
                .map(method -> PathPatternRequestMatcher.withDefaults().matcher(method, route.pattern()))
                .toArray(RequestMatcher[]::new);
    }

    private static Stream<HttpMethod> methods(HttpMethod declared) {
        return declared.equals(HttpMethod.GET) ? Stream.of(declared, HttpMethod.HEAD) : Stream.of(declared);
    }

    /** One manager and no other behind it, which would ask the same again and count each wrong try twice. */
    private static AuthenticationManager only(PersonSignIn signIn) {
        return new ProviderManager(signIn);
    }

    /** Who only looks at the sign-in page leaves no session behind. */
    private static CsrfTokenRepository tokenInCookie() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("ostendum-form");
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        return tokens;
    }

    @Bean
    SecurityFilterChain chain(
            ChainDefaults defaults,
            PersonSignIn signIn,
            People people,
            KnownSessions sessions,
            @Value("${ostendum.sign-in.longest}") Duration longest) {
        return defaults.chain()
                .authenticationManager(only(signIn))
                .addFilterBefore(new CurrentRights(people, sessions, CLOCK, longest), AuthorizationFilter.class)
                .csrf(csrf -> csrf.csrfTokenRepository(tokenInCookie()))
                .authorizeHttpRequests(SecurityConfiguration::byRoute)
                .formLogin(form -> form.loginPage(SIGN_IN)
                        .loginProcessingUrl(SIGN_IN)
                        .usernameParameter("login")
                        .successHandler(new FirstScreen(pagesOnly()))
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
        CookieRequestCache cache = new CookieRequestCache();
        cache.setRequestMatcher(request -> request.getMethod().equals("GET")
                // Whoever asked for nothing but the house comes to the first screen of his role.
                && !request.getRequestURI().equals("/")
                && request.getHeader(PART) == null
                && String.valueOf(request.getHeader(HttpHeaders.ACCEPT)).contains(MediaType.TEXT_HTML_VALUE));
        return cache;
    }

    /** An open page stays as it is when its sign-in has ended: what was typed in it is not lost. */
    private static AuthenticationEntryPoint toSignIn() {
        LoginUrlAuthenticationEntryPoint page = new LoginUrlAuthenticationEntryPoint(SIGN_IN);
        page.setFavorRelativeUris(true);
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
