package org.ostendum.app.security;

import static org.ostendum.core.people.Role.LEAD;
import static org.ostendum.core.people.Role.MECHANIC;
import static org.ostendum.core.people.Role.SAFETY;
import static org.ostendum.core.people.Role.TECHNICIAN;
import static org.springframework.http.HttpMethod.GET;
import static org.springframework.http.HttpMethod.POST;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.ostendum.core.people.Role;
import org.springframework.http.HttpMethod;

/** Who may go where: the one place in which every route and its roles are declared. What is not here is closed to all. */
public final class Access {
    private static final Set<Role> EVERYBODY = EnumSet.allOf(Role.class);
    private static final Set<Role> WORKERS = EnumSet.of(TECHNICIAN, LEAD, MECHANIC);
    private static final Set<Role> SAFETY_AND_WORKERS = EnumSet.of(TECHNICIAN, LEAD, MECHANIC, SAFETY);
    private static final Set<Role> SAFETY_OR_LEAD = EnumSet.of(SAFETY, LEAD);
    private static final Set<Role> MECHANICS = EnumSet.of(MECHANIC);
    private static final Set<Role> LEADS = EnumSet.of(LEAD);

    private Access() {}

    /**
     * A way into the application.
     *
     * @param pattern of the path; {@code *} is one part of it
     * @param roles that may use it; {@code open} routes need no sign-in at all
     */
    public record Route(HttpMethod method, String pattern, Set<Role> roles, boolean open) {
        /** @return whether programs use it, which sign in with every request */
        public boolean isForPrograms() {
            return pattern.startsWith("/api/");
        }
    }

    public static final List<Route> ROUTES = List.of(
            open(GET, "/static/**"),
            open(GET, "/favicon.ico"),
            open(GET, "/calendar/*"),
            open(GET, "/first-aid"),
            open(GET, "/first-aid/card"),
            open(GET, "/sign-in"),
            open(POST, "/sign-in"),
            open(GET, "/error"),
            open(GET, "/actuator/health/**"),
            route(GET, "/actuator/metrics/**", LEADS),
            route(POST, "/sign-out", EVERYBODY),
            route(GET, "/", EVERYBODY),
            route(GET, "/mine", SAFETY_AND_WORKERS),
            route(GET, "/day", EVERYBODY),
            route(GET, "/rooms/*", EVERYBODY),
            route(GET, "/rooms/*/hydrometer", WORKERS),
            route(POST, "/rooms/*/hydrometer", WORKERS),
            route(GET, "/fleet", EVERYBODY),
            route(GET, "/charging", EVERYBODY),
            route(GET, "/plan", EVERYBODY),
            route(POST, "/plan", LEADS),
            route(GET, "/plan/list", EVERYBODY),
            route(GET, "/plan/progress", EVERYBODY),
            route(GET, "/plan/mine", SAFETY_AND_WORKERS),
            route(GET, "/plan/hours", EVERYBODY),
            route(POST, "/plan/hours", LEADS),
            route(POST, "/plan/hours/*/*/remove", LEADS),
            route(GET, "/plan/weights", EVERYBODY),
            route(POST, "/plan/weights", LEADS),
            route(GET, "/plan/would-take", EVERYBODY),
            route(GET, "/plan/calendar", EVERYBODY),
            route(POST, "/plan/calendar", EVERYBODY),
            route(POST, "/plan/calendar/*/end", EVERYBODY),
            route(GET, "/plan/wrong", WORKERS),
            route(POST, "/plan/wrong", WORKERS),
            route(POST, "/plan/wrong/*/over", WORKERS),
            route(POST, "/plan/*/done", WORKERS),
            route(POST, "/plan/*/not-possible", WORKERS),
            route(POST, "/plan/*/*", LEADS),
            route(GET, "/places", EVERYBODY),
            route(GET, "/machines", EVERYBODY),
            route(GET, "/machines/*/label.pdf", EVERYBODY),
            route(GET, "/machines/*", EVERYBODY),
            route(GET, "/charging/several", WORKERS),
            route(POST, "/charging/several/on", WORKERS),
            route(POST, "/charging/several/off", WORKERS),
            route(GET, "/batteries/*/complaint", WORKERS),
            route(POST, "/batteries/*/complaint", WORKERS),
            route(GET, "/batteries/*/capacity", EVERYBODY),
            route(POST, "/batteries/*/capacity", WORKERS),
            route(POST, "/batteries/*/capacity/load", WORKERS),
            route(POST, "/batteries/*/capacity/hours", WORKERS),
            route(GET, "/capacity/*", EVERYBODY),
            route(POST, "/capacity/*/row", WORKERS),
            route(POST, "/capacity/*/by-hand", WORKERS),
            route(POST, "/capacity/*/stop", WORKERS),
            route(GET, "/batteries/*/aircraft", EVERYBODY),
            route(GET, "/batteries/*/aircraft/tag", EVERYBODY),
            route(POST, "/batteries/*/aircraft/sign", MECHANICS),
            route(POST, "/batteries/*/aircraft/regulator", WORKERS),
            route(POST, "/batteries/*/aircraft/conversion", WORKERS),
            route(POST, "/batteries/*/aircraft/hours", WORKERS),
            route(GET, "/retired", EVERYBODY),
            route(GET, "/batteries/*/retire", LEADS),
            route(POST, "/batteries/*/retire", LEADS),
            route(GET, "/batteries/*/life", EVERYBODY),
            route(GET, "/batteries/*/life.pdf", EVERYBODY),
            route(GET, "/budget", EVERYBODY),
            route(GET, "/storage", EVERYBODY),
            route(POST, "/storage/lay-up", WORKERS),
            route(POST, "/storage/places", WORKERS),
            route(POST, "/batteries/*/storage/look", WORKERS),
            route(POST, "/batteries/*/storage/place", WORKERS),
            route(GET, "/complaints/causes", EVERYBODY),
            route(POST, "/complaints/causes", LEADS),
            route(GET, "/complaints/looks", EVERYBODY),
            route(POST, "/complaints/looks", LEADS),
            route(GET, "/complaints/*", EVERYBODY),
            route(POST, "/complaints/*/look", WORKERS),
            route(POST, "/complaints/*/back", WORKERS),
            route(POST, "/complaints/*/end", WORKERS),
            route(GET, "/batteries/*/chargers", EVERYBODY),
            route(GET, "/batteries/*/charge", EVERYBODY),
            route(POST, "/batteries/*/charge", WORKERS),
            route(POST, "/batteries/*/charge/end", WORKERS),
            route(GET, "/chargers/*", EVERYBODY),
            route(GET, "/live", EVERYBODY),
            route(GET, "/alarms", EVERYBODY),
            route(GET, "/alarms/strip", EVERYBODY),
            route(POST, "/alarms/*", SAFETY_AND_WORKERS),
            route(GET, "/watering", EVERYBODY),
            route(GET, "/watering/cart", EVERYBODY),
            route(POST, "/watering", WORKERS),
            route(GET, "/find", EVERYBODY),
            route(GET, "/me", EVERYBODY),
            route(GET, "/me/alarms", EVERYBODY),
            route(POST, "/me/alarms", EVERYBODY),
            route(POST, "/me/alarms/*/end", EVERYBODY),
            route(POST, "/me/alarms/*/trial", EVERYBODY),
            route(POST, "/me", EVERYBODY),
            route(GET, "/me/password", EVERYBODY),
            route(POST, "/me/password", EVERYBODY),
            route(POST, "/me/tokens", EVERYBODY),
            route(POST, "/me/tokens/*/end", EVERYBODY),
            route(GET, "/ledger", EVERYBODY),
            route(GET, "/past", EVERYBODY),
            route(POST, "/past", SAFETY_OR_LEAD),
            route(GET, "/past/export", SAFETY_OR_LEAD),
            route(GET, "/rules", EVERYBODY),
            route(POST, "/rules/*", LEADS),
            route(GET, "/batteries/*", EVERYBODY),
            route(GET, "/batteries/*/ledger", EVERYBODY),
            route(GET, "/batteries/*/ledger/*", EVERYBODY),
            route(POST, "/batteries/*/ledger/*/take-back", WORKERS),
            route(POST, "/batteries/*/ledger/*/replace", WORKERS),
            route(POST, "/batteries/*/log", WORKERS),
            route(GET, "/batteries/*/correct", WORKERS),
            route(POST, "/batteries/*/correct", WORKERS),
            route(GET, "/batteries/*/correct/round", WORKERS),
            route(POST, "/batteries/*/correct/round", WORKERS),
            route(GET, "/batteries/*/round", WORKERS),
            route(POST, "/batteries/*/round", WORKERS),
            route(GET, "/rounds/*/board", WORKERS),
            route(POST, "/rounds/*/values", WORKERS),
            route(POST, "/rounds/*/state", WORKERS),
            route(POST, "/rounds/*/close", WORKERS),
            route(POST, "/rounds/*/discard", WORKERS),
            route(GET, "/batteries/*/label.svg", EVERYBODY),
            route(GET, "/batteries/*/label.pdf", EVERYBODY),
            route(GET, "/batteries/*/map", EVERYBODY),
            route(GET, "/batteries/*/beside", EVERYBODY),
            route(GET, "/batteries/*/kit", EVERYBODY),
            route(GET, "/batteries/*/pack.pdf", EVERYBODY),
            route(GET, "/batteries/*/pack", EVERYBODY),
            route(GET, "/batteries/*/wake", EVERYBODY),
            route(GET, "/batteries/*/cells", EVERYBODY),
            route(POST, "/batteries/*/cells", WORKERS),
            route(POST, "/batteries/*/eyes", WORKERS),
            route(GET, "/batteries/*/defect", SAFETY_AND_WORKERS),
            route(GET, "/batteries/*/reading", WORKERS),
            route(POST, "/batteries/*/reading", WORKERS),
            route(POST, "/batteries/*/defect", SAFETY_AND_WORKERS),
            route(POST, "/defects/*/photos", SAFETY_AND_WORKERS),
            route(POST, "/batteries/*/round-photos", WORKERS),
            route(POST, "/batteries/*/pack/tap", WORKERS),
            route(POST, "/batteries/*/pack/bad-block", WORKERS),
            route(POST, "/batteries/*/pack/tap-moved", WORKERS),
            route(POST, "/batteries/*/pack/turn", WORKERS),
            route(POST, "/batteries/*/pack/as-model", WORKERS),
            route(POST, "/batteries/*/pack/cable", WORKERS),
            route(POST, "/batteries/*/pack/tap-off", WORKERS),
            route(POST, "/batteries/*/pack/fitting", WORKERS),
            route(POST, "/batteries/*/pack/fitting-off", WORKERS),
            route(GET, "/batteries/*/volts", EVERYBODY),
            route(POST, "/batteries/*/volts", WORKERS),
            route(GET, "/date-code", EVERYBODY),
            route(GET, "/batteries/*/jobs", EVERYBODY),
            route(GET, "/batteries/*/jobs/*", EVERYBODY),
            route(POST, "/batteries/*/jobs/*", WORKERS),
            route(POST, "/batteries/*/jobs/*/charger", WORKERS),
            route(GET, "/room-jobs/*", EVERYBODY),
            route(POST, "/room-jobs/*", SAFETY_AND_WORKERS),
            route(GET, "/jobs", EVERYBODY),
            route(GET, "/jobs/*", EVERYBODY),
            route(GET, "/jobs/*/beside", EVERYBODY),
            route(GET, "/incidents", EVERYBODY),
            route(GET, "/incidents/*", EVERYBODY),
            route(POST, "/incidents", SAFETY_AND_WORKERS),
            route(POST, "/incidents/*", SAFETY_AND_WORKERS),
            route(POST, "/incidents/*/review", LEADS),
            route(POST, "/jobs/*/*", SAFETY_AND_WORKERS),
            route(GET, "/photos/*", EVERYBODY),
            route(POST, "/overrides/*/seen", LEADS),
            route(POST, "/defects/*/right", WORKERS),
            route(GET, "/sums", EVERYBODY),
            route(GET, "/sums/*", EVERYBODY),
            route(POST, "/sums/*", WORKERS),
            route(POST, "/api/v1/sums/*", EVERYBODY),
            route(POST, "/api/v1/judge", EVERYBODY),
            route(POST, "/api/v1/plan", EVERYBODY),
            route(GET, "/api/v1/schemas/*", EVERYBODY),
            route(GET, "/api/v1/batteries/*", EVERYBODY),
            route(POST, "/api/v1/batteries/*/events", WORKERS),
            route(GET, "/api/v1/fleet.zip", LEADS),
            route(GET, "/api/v1/fleet/**", LEADS),
            route(POST, "/api/v1/fleet/*", LEADS),
            route(GET, "/api/v1/*", EVERYBODY),
            route(POST, "/api/v1/*", LEADS),
            route(GET, "/exchange", EVERYBODY),
            route(GET, "/exchange/*", EVERYBODY),
            route(POST, "/exchange", LEADS),
            route(POST, "/exchange/*", LEADS),
            route(GET, "/procedures", EVERYBODY),
            route(GET, "/procedures/*", EVERYBODY),
            route(POST, "/procedures/*/additions", LEADS),
            route(POST, "/procedures/*/additions/*", LEADS),
            route(GET, "/safety", EVERYBODY),
            route(POST, "/safety/stations", SAFETY_OR_LEAD),
            route(POST, "/safety/stations/*", SAFETY_AND_WORKERS),
            route(GET, "/safety/stations/*/kit", EVERYBODY),
            route(POST, "/safety/stations/*/kit", SAFETY_AND_WORKERS),
            route(POST, "/safety/trainings", SAFETY_OR_LEAD),
            route(GET, "/setup", LEADS),
            route(GET, "/setup/**", LEADS),
            route(POST, "/setup/**", LEADS));

    private static Route open(HttpMethod method, String pattern) {
        return new Route(method, pattern, EVERYBODY, true);
    }

    private static Route route(HttpMethod method, String pattern, Set<Role> roles) {
        return new Route(method, pattern, roles, false);
    }
}
