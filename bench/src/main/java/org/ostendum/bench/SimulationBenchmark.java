package org.ostendum.bench;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.sim.Life;
import org.ostendum.sim.SimulatedBattery;
import org.ostendum.sim.Site;

/** A year of a battery of 24 cells, at steps of one minute. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class SimulationBenchmark {
    private static final int CELLS_IN_A_ROW = 6;
    private static final double ONE_MINUTE = 1 / 60.0;

    private final BatteryModel model = new BatteryModel(
            "bench",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(4, CELLS_IN_A_ROW),
            AmpHours.of(700),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));
    private final Site site = new Site(5, 0.6, 14, 10, 28, true, true, true, 0.05, 21);

    @Benchmark
    public Life year() {
        return SimulatedBattery.live(model, site, List.of(), Instant.parse("2024-01-01T06:00:00Z"), 365, ONE_MINUTE, 7);
    }
}
