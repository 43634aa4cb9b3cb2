package org.ostendum.bench;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Snapshot;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.fact.Sheet;
import org.ostendum.sim.Life;
import org.ostendum.sim.SimulatedBattery;
import org.ostendum.sim.Site;

/** A battery of 24 cells with ten years of weekly rounds, shifts and charges: its state from nothing, and from where it was kept. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class FoldBenchmark {
    private static final int DAYS = 3653;
    private static final double STEP_HOURS = 1 / 6.0;

    private final BatteryModel model = new BatteryModel(
            "bench",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(4, 6),
            AmpHours.of(700),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private final Sheet sheet = new Sheet(model, Rules.standard());
    private List<BatteryEvent> events = List.of();
    private Snapshot kept = Snapshot.NOTHING;
    private List<PastRound> shown = List.of();
    private List<BatteryEvent> log = List.of();
    private BatteryEvent.@Nullable RoundTaken newest;

    @Setup
    public void life() {
        Site site = new Site(5, 0.6, 7, 10, 28, true, true, true, 0.05, 21);
        Life life = SimulatedBattery.live(
                model, site, List.of(), Instant.parse("2016-01-01T06:00:00Z"), DAYS, STEP_HOURS, 7);
        events = new ArrayList<>(life.events().all());
        life.rounds().forEach(round -> events.add(new BatteryEvent.RoundTaken(round)));
        events.sort(Comparator.comparing(BatteryEvent::at));
        BatteryEvent.RoundTaken last =
                new BatteryEvent.RoundTaken(life.rounds().get(life.rounds().size() - 1));
        newest = last;
        List<BatteryEvent> before =
                events.stream().filter(e -> e.at().isBefore(last.at())).toList();
        BatteryFold fold = BatteryFold.of(sheet, ZoneOffset.UTC, before);
        kept = fold.snapshot();
        List<PastRound> rounds = fold.rounds();
        shown = rounds.subList(rounds.size() - BatteryFold.ROUNDS_SHOWN, rounds.size());
        Instant from = shown.get(0).round().takenAt().minus(BatteryFold.LOOKED_BACK);
        log = before.stream()
                .filter(e -> !(e instanceof BatteryEvent.RoundTaken) && !e.at().isBefore(from))
                .toList();
    }

    @Benchmark
    public Snapshot tenYears() {
        return BatteryFold.of(sheet, ZoneOffset.UTC, events).snapshot();
    }

    /** What a round costs that is closed. */
    @Benchmark
    public Snapshot oneRoundMore() {
        return BatteryFold.resume(sheet, ZoneOffset.UTC, kept, shown, log)
                .fold(Objects.requireNonNull(newest))
                .snapshot();
    }

    /** What a page costs that shows it. */
    @Benchmark
    public BatteryState asOfNow() {
        return new BatteryState(
                sheet,
                kept,
                Surroundings.NOTHING,
                Objects.requireNonNull(newest).at());
    }
}
