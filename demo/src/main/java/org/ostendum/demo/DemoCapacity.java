package org.ostendum.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.ostendum.app.capacity.TestsOnPaper;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.ostendum.sim.RoomBattery;

/** Capacity tests: one that runs by hand, and two of an aircraft's battery within the year. */
class DemoCapacity {
    private static final Duration RUNS_SINCE = Duration.ofMinutes(165);
    private static final Duration EVERY = Duration.ofMinutes(30);
    private static final double WORN = 0.12;
    private static final double WEAK_CELL = 0.07;

    private final TestsOnPaper tests;
    private final Batteries batteries;
    private final BatteryStates states;
    private final People people;
    private final DemoClock clock;

    DemoCapacity(TestsOnPaper tests, Batteries batteries, BatteryStates states, People people, DemoClock clock) {
        this.tests = tests;
        this.batteries = batteries;
        this.states = states;
        this.people = people;
        this.clock = clock;
    }

    void fill() {
        long tom = people.byLogin("tom").orElseThrow().id();
        Battery aircraft = batteries.byCode("A-1").orElseThrow();
        tests.made(
                aircraft,
                sheet(aircraft),
                Duration.ofMinutes(57),
                clock.instant().minus(Duration.ofDays(300)),
                tom);
        tests.made(
                aircraft,
                sheet(aircraft),
                Duration.ofMinutes(53),
                clock.instant().minus(Duration.ofDays(120)),
                tom);
        batteries.all().stream()
                .filter(this::isReady)
                .max(Comparator.comparing(Battery::code))
                .ifPresent(battery -> running(battery, tom));
    }

    /** The last that stands ready: what the jobs and plans of the day are told of comes before it. */
    private boolean isReady(Battery battery) {
        BatteryState state = states.stateOf(battery);
        return battery.type().model().duty() == Duty.MOTIVE
                && battery.machineId() == null
                && state.stage() == Stage.IN_SERVICE
                && state.phase() == BatteryState.Phase.READY
                && state.findings().isEmpty()
                && state.defects().isEmpty();
    }

    private static TestSheet sheet(Battery battery) {
        BatteryModel model = battery.type().model();
        TestKind kind = model.duty() == Duty.AIRCRAFT ? TestKind.ONE_HOUR : TestKind.SIX_HOURS;
        return new TestSheet(
                kind,
                model.duty(),
                Objects.requireNonNull(kind.current(model)),
                Objects.requireNonNull(kind.lasts()),
                model.cells(),
                1,
                Celsius.of(24));
    }

    private void running(Battery battery, long by) {
        TestSheet sheet = sheet(battery);
        Instant since = clock.instant().minus(RUNS_SINCE);
        RoomBattery cells = RoomBattery.of(battery.type().model(), 0, battery.id());
        cells.wear(WORN, 5, WEAK_CELL);
        double amperes = sheet.amperes().amperes();
        List<TestRow> rows = new ArrayList<>();
        for (Duration at = Duration.ZERO; at.compareTo(RUNS_SINCE) < 0; at = at.plus(EVERY)) {
            List<Double> leads = cells.giving(amperes);
            double volts = leads.stream().mapToDouble(v -> v).sum();
            rows.add(new TestRow(
                    at,
                    Math.round(volts * 100) / 100.0,
                    amperes,
                    leads.stream().map(v -> Math.round(v * 100) / 100.0).toList()));
            cells.pass(-amperes, EVERY);
        }
        tests.running(battery, sheet, rows, since, by);
    }
}
