package org.ostendum.web.fleet;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.Rulebook;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** All batteries of the house, those that need something first. */
@Controller
class FleetController {
    private final Batteries batteries;
    private final Bench bench;

    FleetController(Batteries batteries, Bench bench) {
        this.batteries = batteries;
        this.bench = bench;
    }

    /** A battery with its state and its jobs, most urgent first. */
    record Line(Battery battery, BatteryState state, List<NextThing> things) {
        public Severity severity() {
            return things.stream().map(NextThing::severity).reduce(Severity.FIT, Severity::worse);
        }

        long overdue() {
            return things.isEmpty() ? 0 : things.get(0).overdueDays();
        }
    }

    @GetMapping("/fleet")
    String fleet(Model page) {
        List<Battery> all = batteries.all();
        Rulebook book = bench.rulebook();
        Map<Long, BatteryState> states = bench.statesOf(all, book);
        List<Line> lines = all.stream()
                .map(battery -> line(battery, Objects.requireNonNull(states.get(battery.id())), book))
                .sorted(Comparator.comparing(Line::severity)
                        .thenComparing(Line::overdue)
                        .reversed()
                        .thenComparing(line -> line.battery().code()))
                .toList();
        page.addAttribute("place", "fleet");
        page.addAttribute("lines", lines);
        page.addAttribute(
                "counts",
                Arrays.stream(Severity.values())
                        .map(s -> lines.stream().filter(l -> l.severity() == s).count())
                        .toList());
        return "fleet/fleet";
    }

    private Line line(Battery battery, BatteryState state, Rulebook book) {
        return new Line(battery, state, NextThings.of(bench.now(battery, state, book), bench.instant()));
    }
}
