package org.ostendum.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Judge;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

/** One verdict on a battery of 24 cells, after ten years of weekly rounds and on what the application shows the judge. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(2)
public class JudgeBenchmark {
    private static final int CELLS = 24;

    /** 520 is ten years of weeks; 30 is what the application lays before the judge. */
    @Param({"30", "520"})
    public int rounds;

    private BatteryModel model;
    private PastRound latest;
    private List<PastRound> past;

    @Setup
    public void readings() {
        model = new BatteryModel(
                "bench",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(4, 6),
                AmpHours.of(700),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
        Random random = new Random(11);
        past = new ArrayList<>();
        Instant start = Instant.parse("2016-01-01T06:00:00Z");
        for (int week = 0; week < rounds; week++) {
            past.add(round(start.plus(Duration.ofDays(7L * week)), random, week));
        }
        latest = past.remove(past.size() - 1);
    }

    private PastRound round(Instant at, Random random, int week) {
        List<CellReading> readings = new ArrayList<>();
        for (int cell = 1; cell <= CELLS; cell++) {
            int falling = cell == 9 ? Math.max(0, week - (rounds - 20)) : 0;
            readings.add(CellReading.gravity(cell, 1283 - falling + (int) Math.round(random.nextGaussian() * 2)));
        }
        return new PastRound(new Round(at, RoundState.FULL_CHARGE, Celsius.of(24), readings), List.of());
    }

    @Benchmark
    public Verdict verdict() {
        return Judge.judge(new Case(model, Rules.standard(), ZoneOffset.UTC, latest, past));
    }
}
