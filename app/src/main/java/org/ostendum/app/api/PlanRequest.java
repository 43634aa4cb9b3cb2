package org.ostendum.app.api;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Lateness;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Times;
import org.ostendum.core.plan.room.Worker;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.JsonNode;

/** A room to be planned, read from JSON. */
public final class PlanRequest {
    private static final Duration LONGEST = Duration.ofDays(31);
    private static final int MOST_SECONDS = 60;
    private static final int MOST = 5000;
    private static final int MOST_SHIFTS = 200;
    private static final int MOST_PAIRS = 500_000;
    private static final int MOST_JOBS = 50_000;
    private static final double MOST_AH = 20_000;
    private static final double MOST_KG = 20_000;
    private static final double MOST_LITRES = 100_000;
    private static final int MOST_MINUTES = 7 * 1440;

    private final Members body;
    private final Set<String> batteries;
    private final Set<String> chargers;

    private PlanRequest(JsonNode json) {
        body = Members.of(json);
        batteries = codes("batteries");
        chargers = codes("chargers");
        codes("machines");
        codes("people");
    }

    /** @throws ApiProblem for what does not fit */
    public static PlanProblem read(JsonNode json) {
        return new PlanRequest(json).problem();
    }

    /** @throws ApiProblem for what is no plan */
    public static Plan readPlan(JsonNode json) {
        return plan(Members.of(json));
    }

    private PlanProblem problem() {
        Instant from = body.time("from");
        Instant until = body.time("until");
        if (!until.isAfter(from) || Duration.between(from, until).compareTo(LONGEST) > 0) {
            throw body.bad("until", "a time after from, at most " + LONGEST.toDays() + " days later");
        }
        return new PlanProblem(
                from,
                until,
                body.has("seconds") ? body.whole("seconds", 0, MOST_SECONDS) : 10,
                body.has("seed") ? (long) body.number("seed", Integer.MIN_VALUE, Integer.MAX_VALUE) : 1,
                body.has("earlier") ? plan(body.object("earlier")) : null,
                jobs(body, "pinned").stream().map(job -> job.withPinned(true)).toList(),
                new PlanSite(
                        all("machines", this::machine),
                        all("batteries", this::battery),
                        all("chargers", PlanRequest::charger),
                        body.list("charging", MOST_PAIRS).stream()
                                .map(this::pairing)
                                .toList(),
                        all("people", PlanRequest::worker),
                        body.has("room") ? room(body.object("room")) : RoomLimits.UNLIMITED,
                        all("tariff", PlanRequest::price),
                        body.has("rules") ? times(body.object("rules")) : Times.USUAL),
                body.has("weights") ? weights(body.object("weights")) : Map.of());
    }

    private <T> List<T> all(String name, Function<Members, T> read) {
        return body.list(name, MOST).stream().map(read).toList();
    }

    private Set<String> codes(String list) {
        Set<String> codes = new HashSet<>();
        for (Members one : body.list(list, MOST)) {
            if (!codes.add(code(one, "code"))) {
                throw one.bad("code", "a code that no other of " + list + " has");
            }
        }
        return codes;
    }

    private static String code(Members members, String name) {
        String code = members.text(name).strip();
        if (code.isEmpty()) {
            throw members.bad(name, "a code");
        }
        return code;
    }

    private static @Nullable String codeIfGiven(Members members, String name) {
        return members.has(name) ? code(members, name) : null;
    }

    private static String known(Members members, String name, Collection<String> codes, String of) {
        String code = code(members, name);
        if (!codes.contains(code)) {
            throw members.bad(name, "the code of one of " + of);
        }
        return code;
    }

    private PlanMachine machine(Members m) {
        boolean fixed = m.flag("fixed");
        String battery = m.has("battery") ? known(m, "battery", batteries, "batteries") : null;
        if (fixed && battery == null) {
            throw m.bad("battery", "the code of its battery, since it is fixed");
        }
        double least = m.has("weightFromKg") ? m.number("weightFromKg", 0, MOST_KG) : 0;
        List<Shift> shifts =
                m.list("shifts", MOST_SHIFTS).stream().map(PlanRequest::shift).toList();
        unlike(m, "shifts", shifts.stream().map(Shift::id).toList());
        return new PlanMachine(
                code(m, "code"),
                m.whole("volts", 1, 1000),
                m.text("connector"),
                least,
                m.has("weightToKg") ? m.number("weightToKg", least, MOST_KG) : MOST_KG,
                battery,
                fixed,
                refused(m),
                shifts);
    }

    private Set<String> refused(Members m) {
        List<String> codes = m.has("refuses") ? m.texts("refuses", MOST) : List.of();
        if (!batteries.containsAll(codes)) {
            throw m.bad("refuses", "codes of batteries");
        }
        return Set.copyOf(codes);
    }

    private static void unlike(Members m, String name, List<String> ids) {
        if (new HashSet<>(ids).size() < ids.size()) {
            throw new ApiProblem(
                    HttpStatus.UNPROCESSABLE_CONTENT, m.path(name), m.path(name) + " has the same id twice.");
        }
    }

    private static Shift shift(Members s) {
        Span span = span(s);
        return new Shift(code(s, "id"), span.start(), span.end(), s.number("ah", 0, MOST_AH));
    }

    private static Span span(Members s) {
        Instant start = s.time("start");
        Instant end = s.time("end");
        if (!end.isAfter(start)) {
            throw s.bad("end", "a time after start");
        }
        return new Span(start, end);
    }

    private PoolBattery battery(Members b) {
        double capacity = b.number("capacityAh", 1, MOST_AH);
        return new PoolBattery(
                code(b, "code"),
                b.whole("volts", 1, 1000),
                b.text("connector"),
                b.has("weightKg") ? b.number("weightKg", 0, MOST_KG) : 0,
                capacity,
                b.has("missingAh") ? b.number("missingAh", 0, capacity) : 0,
                b.has("coolUntil") ? b.time("coolUntil") : null,
                b.flag("held"),
                b.has("leastSoc") ? b.number("leastSoc", 0, 1) : 0.2,
                b.has("cycles") ? b.whole("cycles", 0, 1_000_000) : 0,
                b.text("place"),
                b.list("due", MOST_SHIFTS).stream().map(PlanRequest::due).toList());
    }

    private static Due due(Members d) {
        Task what = d.choice("what", Task.class, null);
        if (!what.isCare()) {
            throw d.bad("what", "water, round, equalise, wash or test");
        }
        Instant from = d.time("from");
        Instant until = d.time("until");
        if (until.isBefore(from)) {
            throw d.bad("until", "a time not before from");
        }
        return new Due(
                what, from, until, d.whole("minutes", what == Task.EQUALISE ? 0 : 1, MOST_MINUTES), takes(d, what));
    }

    /** Of a test it may be left out: then it empties nothing. */
    private static int takes(Members d, Task what) {
        boolean given = what == Task.EQUALISE || (what == Task.TEST && d.has("takes"));
        return given ? d.whole("takes", what == Task.TEST ? 0 : 1, MOST_MINUTES) : 0;
    }

    private static PlanCharger charger(Members c) {
        return new PlanCharger(
                code(c, "code"),
                c.has("volts") ? c.whole("volts", 0, 1000) : 0,
                c.text("connector"),
                c.text("place"),
                c.has("kw") ? c.number("kw", 0, 1000) : 0,
                c.has("litresPerHour") ? c.number("litresPerHour", 0, MOST_LITRES) : 0,
                c.text("air"),
                c.list("away", MOST_SHIFTS).stream().map(PlanRequest::span).toList());
    }

    private Pairing pairing(Members p) {
        Pairing pair = new Pairing(
                known(p, "battery", batteries, "batteries"),
                known(p, "charger", chargers, "chargers"),
                p.number("minutesPerAh", 0, 1000),
                p.number("finishMinutes", 0, MOST_MINUTES),
                p.has("spread") ? p.number("spread", 0, 1) : Lateness.USUAL_SPREAD);
        if (pair.seconds(0) == 0 && pair.minutesPerAh() == 0) {
            throw p.bad("finishMinutes", "above 0 where minutesPerAh is 0: a charge lasts some time");
        }
        return pair;
    }

    private static Worker worker(Members w) {
        Set<Task> may = EnumSet.noneOf(Task.class);
        for (String word : w.texts("may", Task.values().length)) {
            may.add(Task.find(word)
                    .filter(task -> task == Task.CHANGE || task.isCare())
                    .orElseThrow(() -> w.bad("may", "an array of change, water, round, equalise, wash, test")));
        }
        return new Worker(
                code(w, "code"),
                may,
                w.list("shifts", MOST_SHIFTS).stream().map(PlanRequest::span).toList(),
                w.list("quiet", MOST_SHIFTS).stream().map(PlanRequest::span).toList());
    }

    private static RoomLimits room(Members r) {
        return new RoomLimits(
                r.numberIfGiven("kwMost", 0, 100_000),
                r.numberIfGiven("litresPerHourMost", 0, 100 * MOST_LITRES),
                r.has("airs") ? airs(r.object("airs")) : Map.of(),
                r.has("kwReached") ? r.number("kwReached", 0, 100_000) : 0);
    }

    private static Map<String, Double> airs(Members a) {
        Map<String, Double> airs = new LinkedHashMap<>();
        a.entries().forEach(air -> airs.put(air.getKey(), a.number(air.getKey(), 0, 100 * MOST_LITRES)));
        return airs;
    }

    private static Price price(Members p) {
        Span span = span(p);
        return new Price(span.start(), span.end(), p.number("perKwh", 0, 1000));
    }

    private static Times times(Members t) {
        return new Times(
                t.has("coolMinutes") ? t.whole("coolMinutes", 0, MOST_MINUTES) : Times.USUAL.coolMinutes(),
                t.has("changeMinutes") ? t.whole("changeMinutes", 1, 1440) : Times.USUAL.changeMinutes(),
                t.has("plugMinutes") ? t.whole("plugMinutes", 0, 1440) : Times.USUAL.plugMinutes());
    }

    private static Map<Term, Double> weights(Members w) {
        Map<Term, Double> weights = new EnumMap<>(Term.class);
        w.entries().forEach(entry -> {
            Term term = Term.find(entry.getKey())
                    .orElseThrow(() -> w.bad(
                            entry.getKey(),
                            "none: the terms are "
                                    + EnumSet.allOf(Term.class).stream()
                                            .map(Term::word)
                                            .collect(Collectors.joining(", "))));
            weights.put(term, w.number(entry.getKey(), 0, 1_000_000));
        });
        return weights;
    }

    private static Plan plan(Members p) {
        return new Plan(jobs(p, "jobs"), List.of(), List.of(), 0, p.flag("valid"));
    }

    private static List<PlanJob> jobs(Members of, String name) {
        return of.list(name, MOST_JOBS).stream().map(PlanRequest::job).toList();
    }

    private static PlanJob job(Members j) {
        Span span = span(j);
        return new PlanJob(
                code(j, "id"),
                j.choice("what", Task.class, null),
                code(j, "battery"),
                codeIfGiven(j, "machine"),
                codeIfGiven(j, "shift"),
                codeIfGiven(j, "charger"),
                codeIfGiven(j, "person"),
                span.start(),
                span.end(),
                j.flag("pinned"),
                null);
    }
}
