package org.ostendum.app.mine;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.mine.MineView.ToWater;
import org.ostendum.app.plan.PlannedJobs;
import org.ostendum.app.procedure.PlacedThing;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.round.OpenRounds;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ThingsToDo;
import org.ostendum.app.storage.Storing;
import org.ostendum.app.words.Words;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.WaterDue;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** A technician's first screen: what he has begun, what he waters, and what is to be done next. */
@Controller
class MineController {
    private static final int THINGS_TOLD = 8;
    private static final int WATER_TOLD = 6;

    private static final int PLANNED_TOLD = 4;
    /** Days before what is put away has to be charged. */
    private static final int STORED_SOON = 7;

    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final Jobs jobs;
    private final OpenRounds rounds;
    private final SiteProcedures procedures;
    private final PlannedJobs planned;
    private final Storing storing;
    private final ZoneId zone;

    MineController(
            Batteries batteries,
            BatteryStates batteryStates,
            Jobs jobs,
            OpenRounds rounds,
            SiteProcedures procedures,
            PlannedJobs planned,
            Storing storing,
            ZoneId zone) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.jobs = jobs;
        this.rounds = rounds;
        this.procedures = procedures;
        this.planned = planned;
        this.storing = storing;
        this.zone = zone;
    }

    @GetMapping("/mine")
    String mine(Person person, Words words, Model page) {
        List<Battery> all = batteries.all();
        Map<Long, BatteryState> states = batteryStates.statesOf(all);
        List<PlacedThing> things = things(all, states);
        page.addAttribute("place", "mine");
        page.addAttribute(
                "view",
                new MineView(
                        jobs.open().stream().filter(j -> isOf(j, person)).toList(),
                        procedures.titles(words),
                        planned.ofPerson(person.login(), batteryStates.instant(), PLANNED_TOLD),
                        rounds(all, person),
                        water(all, states, person),
                        storing.lines().stream()
                                .filter(line -> line.isSoon(STORED_SOON))
                                .toList(),
                        things.stream().limit(THINGS_TOLD).toList(),
                        Math.max(0, things.size() - THINGS_TOLD)));
        return "mine/mine";
    }

    /** Begun by him, or handed over to him. */
    private boolean isOf(Job job, Person person) {
        return JobRunning.run(job, jobs.events(job.id())).holder().equals(person.name());
    }

    private List<String> rounds(List<Battery> all, Person person) {
        Map<Long, String> codes = all.stream().collect(Collectors.toMap(Battery::id, Battery::code));
        return rounds.in(codes.keySet()).entrySet().stream()
                .filter(e -> e.getValue().equals(person.name()))
                .map(e -> Objects.requireNonNull(codes.get(e.getKey())))
                .sorted()
                .toList();
    }

    private static List<PlacedThing> things(List<Battery> all, Map<Long, BatteryState> states) {
        return ThingsToDo.of(all, b -> NextThings.of(b.code(), state(states, b))).stream()
                .map(PlacedThing::of)
                .toList();
    }

    private List<ToWater> water(List<Battery> all, Map<Long, BatteryState> states, Person person) {
        return all.stream()
                .filter(b -> Objects.equals(b.waterOwnerId(), person.id()))
                .flatMap(b -> toWater(b, state(states, b)).stream())
                .sorted(Comparator.comparing(ToWater::now)
                        .reversed()
                        .thenComparing(ToWater::due)
                        .thenComparing(w -> w.battery().code()))
                .limit(WATER_TOLD)
                .toList();
    }

    private List<ToWater> toWater(Battery battery, BatteryState state) {
        WaterDue due = state.waterDue();
        boolean now = NextThings.of(battery.code(), state).stream()
                .anyMatch(t -> t.step() == NextStep.WATER || t.step() == NextStep.COVER_PLATES);
        return due == null ? List.of() : List.of(new ToWater(battery, LocalDate.ofInstant(due.at(), zone), now));
    }

    private static BatteryState state(Map<Long, BatteryState> states, Battery battery) {
        return Objects.requireNonNull(states.get(battery.id()));
    }
}
