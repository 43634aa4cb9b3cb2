package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.ostendum.app.people.People;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Visitor;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** What a person may do is what he may do now, not what he might when he signed in. */
class RightsTest extends ApplicationTest {
    private static final String PASSWORD = "seven grey herons";

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private PasswordEncoder encoder;

    private final String login = "r-" + UUID.randomUUID().toString().substring(0, 8);

    private Visitor signedIn(Role role) throws Exception {
        people.add(login, "Somebody New", role, Objects.requireNonNull(encoder.encode(PASSWORD)));
        Visitor signedIn = new Visitor(port);
        assertThat(signedIn.signIn(login, PASSWORD)).isTrue();
        return signedIn;
    }

    private void change(Role role, boolean active) {
        Person person = people.byLogin(login).orElseThrow();
        assertThat(people.change(person.id(), people.version(person.id()), person.name(), role, active))
                .isTrue();
    }

    @Test
    void whoIsNoLongerLeadMakesNoLeads() throws Exception {
        Visitor lead = signedIn(Role.LEAD);
        assertThat(lead.get("/setup/people").statusCode()).isEqualTo(200);
        change(Role.VIEWER, true);
        assertThat(lead.get("/setup/people").headers().firstValue("Location").orElse(""))
                .endsWith("/sign-in");
        lead.post(
                "/setup/people",
                "login",
                login + "-2",
                "name",
                "Nobody",
                "role",
                "LEAD",
                "password",
                "nine brown otters",
                "active",
                "true");
        assertThat(people.byLogin(login + "-2")).isEmpty();
    }

    @Test
    void whoMayNoLongerComeInIsOut() throws Exception {
        Visitor technician = signedIn(Role.TECHNICIAN);
        assertThat(technician.get("/fleet").statusCode()).isEqualTo(200);
        change(Role.TECHNICIAN, false);
        assertThat(technician.get("/fleet").statusCode()).isEqualTo(302);
        assertThat(technician.signIn(login, PASSWORD)).isFalse();
    }

    /** And who is called otherwise stays in: that changes nothing of his rights. */
    @Test
    void aNewNameLeavesAPersonSignedIn() throws Exception {
        Visitor technician = signedIn(Role.TECHNICIAN);
        Person person = people.byLogin(login).orElseThrow();
        people.change(person.id(), people.version(person.id()), "Somebody Else", Role.TECHNICIAN, true);
        assertThat(technician.get("/me").body()).contains("Somebody Else");
    }

    @Test
    void anOldPasswordsSessionsEnd() throws Exception {
        Visitor technician = signedIn(Role.TECHNICIAN);
        people.changePassword(
                people.byLogin(login).orElseThrow().id(), Objects.requireNonNull(encoder.encode("other " + PASSWORD)));
        assertThat(technician.get("/fleet").statusCode()).isEqualTo(302);
    }

    /** People change their own passwords: it ends their other sessions, not this one. */
    @Test
    void onesOwnPasswordIsChangedByOneself() throws Exception {
        Visitor here = signedIn(Role.TECHNICIAN);
        Visitor elsewhere = new Visitor(port);
        assertThat(elsewhere.signIn(login, PASSWORD)).isTrue();
        assertThat(newPassword(here, "not " + PASSWORD, "three red squirrels"))
                .contains("That is not your password now.");
        assertThat(newPassword(here, PASSWORD, "short")).contains("at least 10 characters");
        assertThat(newPassword(here, PASSWORD, "three red squirrels")).isEmpty();
        assertThat(here.get("/fleet").statusCode()).isEqualTo(200);
        assertThat(elsewhere.get("/fleet").statusCode()).isEqualTo(302);
        assertThat(elsewhere.signIn(login, PASSWORD)).isFalse();
        assertThat(elsewhere.signIn(login, "three red squirrels")).isTrue();
    }

    /** @return the page that refuses it; empty where it was taken */
    private static String newPassword(Visitor visitor, String current, String wanted) throws Exception {
        return visitor.post("/me/password", "current", current, "wanted", wanted, "again", wanted)
                .body();
    }

    /** What a form shows to nobody, its head tells nobody either. */
    @Test
    void theHeadOfAPageIsAsShutAsThePage() throws Exception {
        Visitor technician = signedIn(Role.TECHNICIAN);
        assertThat(technician.ask("HEAD", "/setup/people").statusCode()).isEqualTo(403);
        assertThat(technician.ask("HEAD", "/fleet").statusCode()).isEqualTo(200);
        assertThat(new Visitor(port).ask("HEAD", "/setup/people").statusCode()).isEqualTo(302);
    }

    /** The database finds a person under look-alikes of his login as well; his tries are counted together. */
    @Test
    void lookAlikesOfALoginAreNoMoreTries() throws Exception {
        people.add(login, "Somebody New", Role.TECHNICIAN, Objects.requireNonNull(encoder.encode(PASSWORD)));
        List<String> alike =
                List.of(login, login.toUpperCase(Locale.ROOT), login.replace("r-", "ř-"), login + " ", login);
        for (String typed : alike) {
            assertThat(new Visitor(port).signIn(typed, "wrong " + PASSWORD)).isFalse();
        }
        assertThat(new Visitor(port).signIn(login, PASSWORD))
                .as("the sixth try, with the right password")
                .isFalse();
    }

    @Test
    void aPasswordLongerThanAnyIsAWrongOne() throws Exception {
        people.add(login, "Somebody New", Role.TECHNICIAN, Objects.requireNonNull(encoder.encode(PASSWORD)));
        assertThat(new Visitor(port).signIn(login, "x".repeat(5000))).isFalse();
        assertThat(new Visitor(port).signIn(login, PASSWORD)).isTrue();
    }

    /** However busy a session is, a sign-in of yesterday is none of today. */
    @Test
    void aSignInHoldsNoLongerThanADoubleShift() throws Exception {
        people.add(login, "Somebody New", Role.TECHNICIAN, Objects.requireNonNull(encoder.encode(PASSWORD)));
        Clock noon = Clock.fixed(Instant.parse("2026-03-01T12:00:00Z"), ZoneOffset.UTC);
        SignedIn morning = new SignedIn(login, 0, noon.instant().minus(Duration.ofHours(14)));
        assertThat(passes(morning, Clock.offset(noon, Duration.ofSeconds(-1)))).isTrue();
        assertThat(passes(morning, noon)).isFalse();
    }

    private boolean passes(SignedIn session, Clock clock) throws Exception {
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(session, null, List.of()));
        try {
            new CurrentRights(people, new KnownSessions("ostendum"), clock, Duration.ofHours(14))
                    .doFilter(
                            new MockHttpServletRequest("GET", "/fleet"),
                            new MockHttpServletResponse(),
                            new MockFilterChain());
            return SecurityContextHolder.getContext().getAuthentication() != null;
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    /** After the sign-in a person comes to where he wanted to go. */
    @Test
    void theSignInLeadsToThePageThatWasAskedFor() throws Exception {
        people.add(login, "Somebody New", Role.TECHNICIAN, Objects.requireNonNull(encoder.encode(PASSWORD)));
        Visitor visitor = new Visitor(port);
        visitor.get("/watering");
        visitor.get("/sign-in");
        assertThat(visitor.post("/sign-in", "login", login, "password", PASSWORD)
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/watering");
    }

    @Test
    void eachRoleBeginsWithItsOwnScreen() throws Exception {
        Visitor tom = new Visitor(port);
        tom.get("/sign-in");
        assertThat(tom.post("/sign-in", "login", "tom", "password", "lanternmoor")
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/mine");
        Visitor oskar = new Visitor(port);
        oskar.get("/");
        oskar.get("/sign-in");
        assertThat(oskar.post("/sign-in", "login", "oskar", "password", "lanternmoor")
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/safety");
    }
}
