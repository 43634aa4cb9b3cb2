package org.ostendum.app.day;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ostendum.app.alarm.Alarms;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.battery.LedgerLine;
import org.ostendum.app.day.DayView.UnderWay;
import org.ostendum.app.form.PlainDay;
import org.ostendum.app.incident.Incidents;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.Sought;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.round.OpenRounds;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ThingsToDo;
import org.ostendum.app.words.Words;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The day sheet: what was done, who has what, what waits. */
@Controller
class DayController {
    private static final int LINES = 300;
    private static final int ALARMS = 100;
    private static final int THINGS = 12;

    private final Ledger ledger;
    private final Jobs jobs;
    private final OpenRounds rounds;
    private final SiteProcedures procedures;
    private final Alarms alarms;
    private final Incidents incidents;
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final ZoneId zone;

    DayController(
            Ledger ledger,
            Jobs jobs,
            OpenRounds rounds,
            SiteProcedures procedures,
            Alarms alarms,
            Incidents incidents,
            Batteries batteries,
            BatteryStates batteryStates,
            ZoneId zone) {
        this.ledger = ledger;
        this.jobs = jobs;
        this.rounds = rounds;
        this.procedures = procedures;
        this.alarms = alarms;
        this.incidents = incidents;
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.zone = zone;
    }

    /** @param on a day such as 2026-03-31; today where it is none */
    @GetMapping("/day")
    String day(@RequestParam(defaultValue = "") String on, Words words, Model page) {
        LocalDate day = PlainDay.parse(on).orElse(LocalDate.ofInstant(words.now(), zone));
        Instant from = day.atStartOfDay(zone).toInstant();
        Instant until = day.plusDays(1).atStartOfDay(zone).toInstant();
        List<LedgerLine> lines = ledger.ofSite(null, Sought.between(from, until), LINES).stream()
                .map(entry -> LedgerLine.of(entry, words))
                .toList();
        List<NextThing> things = things();
        page.addAttribute("place", "ledger");
        page.addAttribute(
                "view",
                new DayView(
                        day,
                        lines.size(),
                        LINES,
                        byBattery(lines),
                        underWay(words),
                        openRounds(),
                        alarms(from, until),
                        incidents.between(from, until),
                        things.stream().limit(THINGS).toList(),
                        things.size()));
        return "day/day";
    }

    /** In the order of the day, though the ledger tells the newest first. */
    private static Map<String, List<LedgerLine>> byBattery(List<LedgerLine> newestFirst) {
        Map<String, List<LedgerLine>> byBattery = new TreeMap<>();
        for (LedgerLine line : newestFirst) {
            byBattery.computeIfAbsent(line.battery(), b -> new ArrayList<>()).add(0, line);
        }
        return byBattery;
    }

    private List<UnderWay> underWay(Words words) {
        Map<String, String> titles = procedures.titles(words);
        return jobs.open().stream()
                .map(job -> new UnderWay(
                        Objects.toString(job.battery(), ""),
                        titles.getOrDefault(job.procedureId(), job.procedureId()),
                        JobRunning.run(job, jobs.events(job.id())).holder(),
                        job.begunAt(),
                        "/jobs/" + job.id()))
                .toList();
    }

    /** @return who takes a round, by the battery's code */
    private Map<String, String> openRounds() {
        Map<Long, String> codes = batteries.all().stream().collect(Collectors.toMap(Battery::id, Battery::code));
        Map<String, String> open = new TreeMap<>();
        rounds.in(codes.keySet()).forEach((id, person) -> open.put(codes.getOrDefault(id, ""), person));
        return open;
    }

    private List<StandingAlarm> alarms(Instant from, Instant until) {
        return Stream.concat(alarms.open().stream(), alarms.past(ALARMS).stream())
                .filter(a -> !a.raisedAt().isBefore(from) && a.raisedAt().isBefore(until))
                .toList();
    }

    private List<NextThing> things() {
        List<Battery> all = batteries.all();
        Map<Long, BatteryState> states = batteryStates.statesOf(all);
        return ThingsToDo.of(all, b -> NextThings.of(b.code(), Objects.requireNonNull(states.get(b.id()))));
    }
}
