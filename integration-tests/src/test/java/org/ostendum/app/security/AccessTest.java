package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import jakarta.servlet.Filter;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.security.Access.Route;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.core.people.Role;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.util.AntPathMatcher;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessTest extends ApplicationTest {
    private static final Map<Role, String> LOGINS = Map.of(
            Role.TECHNICIAN, "tom",
            Role.LEAD, "maud",
            Role.SAFETY, "oskar",
            Role.MECHANIC, "priya",
            Role.VIEWER, "vera");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Filter springSecurityFilterChain;

    private MockMvc guards;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    static Stream<Arguments> routesAndRoles() {
        return Access.ROUTES.stream().filter(route -> !route.open()).flatMap(route -> Arrays.stream(Role.values())
                .map(role -> Arguments.of(route, role)));
    }

    static Stream<Route> shutRoutes() {
        return Access.ROUTES.stream().filter(route -> !route.open());
    }

    static Stream<Arguments> routesAndOneOfTheirRoles() {
        return shutRoutes()
                .map(route -> Arguments.of(route, route.roles().iterator().next()));
    }

    /** A form's token is asked for whoever sends it. */
    static Stream<Arguments> formsAndOneOfTheirRoles() {
        return shutRoutes()
                .filter(route -> route.method() == HttpMethod.POST && !route.isForPrograms())
                .map(route -> Arguments.of(route, route.roles().iterator().next()));
    }

    private static String example(Route route) {
        return route.pattern()
                .replace("/batteries/*", "/batteries/T-19")
                .replace("/rooms/*", "/rooms/main")
                .replace("/sums/*", "/sums/mixing")
                .replace("/**", "/models")
                .replace("/*", "/999999999");
    }

    /** Behind the guards, in place of every page: who gets here has been let in. */
    @RestController
    static class LetIn {
        @RequestMapping("/**")
        @ResponseStatus(HttpStatus.ALREADY_REPORTED)
        void here() {}
    }

    @BeforeAll
    void putNothingButTheGuardsUp() {
        guards = MockMvcBuilders.standaloneSetup(new LetIn())
                .apply(springSecurity(springSecurityFilterChain))
                .build();
    }

    @ParameterizedTest
    @MethodSource("routesAndRoles")
    void aRouteIsOpenToItsRolesAndShutToTheOthers(Route route, Role role) throws Exception {
        assertThat(statusOf(guards, route, role))
                .isEqualTo(expected(route, role).value());
    }

    private static HttpStatus expected(Route route, Role role) {
        if (route.pattern().equals("/sign-out")) {
            return HttpStatus.FOUND;
        }
        return route.roles().contains(role) ? HttpStatus.ALREADY_REPORTED : HttpStatus.FORBIDDEN;
    }

    /** The real page, once. */
    @ParameterizedTest
    @MethodSource("routesAndOneOfTheirRoles")
    void whoIsLetInGetsAnAnswerThatIsNoFault(Route route, Role role) throws Exception {
        assertThat(statusOf(mvc, route, role)).isNotIn(401, 403, 500);
    }

    private static int statusOf(MockMvc asked, Route route, Role role) throws Exception {
        return asked.perform(request(route.method(), example(route))
                        .with(user(LOGINS.get(role)).roles(role.name()))
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    @ParameterizedTest
    @MethodSource("shutRoutes")
    void withoutSigningInEveryRouteLeadsToTheSignIn(Route route) throws Exception {
        MockHttpServletResponse answer = mvc.perform(
                        request(route.method(), example(route)).with(csrf()))
                .andReturn()
                .getResponse();
        if (route.isForPrograms()) {
            assertThat(answer.getStatus()).isEqualTo(401);
            return;
        }
        assertThat(answer.getStatus()).isEqualTo(302);
        if (!route.pattern().equals("/sign-out")) {
            assertThat(answer.getRedirectedUrl()).endsWith("/sign-in");
        }
    }

    @ParameterizedTest
    @MethodSource("formsAndOneOfTheirRoles")
    void nothingIsChangedWithoutItsToken(Route route, Role role) throws Exception {
        int status = mvc.perform(request(route.method(), example(route))
                        .with(user(LOGINS.get(role)).roles(role.name())))
                .andReturn()
                .getResponse()
                .getStatus();
        assertThat(status).isEqualTo(403);
    }

    @Test
    void everyHandlerIsDeclared() {
        AntPathMatcher matcher = new AntPathMatcher();
        List<String> patterns = Access.ROUTES.stream().map(Route::pattern).toList();
        requestMappingHandlerMapping.getHandlerMethods().forEach((info, method) -> info.getPatternValues()
                .forEach(path -> assertThat(patterns)
                        .as("%s of %s", path, method)
                        .anyMatch(pattern -> matcher.match(pattern, path.replaceAll("\\{\\w+}", "x")))));
    }

    @Test
    void pagesTellTheBrowserToLoadOnlyFromHere() throws Exception {
        MockHttpServletResponse answer =
                mvc.perform(request(HttpMethod.GET, "/first-aid")).andReturn().getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getHeader("Content-Security-Policy"))
                .contains("default-src 'none'", "script-src 'self'", "style-src 'self'")
                .doesNotContain("unsafe");
        assertThat(answer.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
        assertThat(answer.getHeader("X-Frame-Options")).isEqualTo("DENY");
        assertThat(answer.getHeader("Cache-Control")).contains("no-store");
        assertThat(answer.getContentAsString()).doesNotContain(" style=", "<script>", " onclick=");
    }

    @Test
    void aPageThatIsNotThereSaysSoWithoutATrace() throws Exception {
        MockHttpServletResponse answer = mvc.perform(request(HttpMethod.GET, "/batteries/NO-SUCH")
                        .with(user("tom").roles("TECHNICIAN")))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(404);
        assertThat(answer.getContentAsString()).doesNotContain("Exception", "at org.");
    }
}
