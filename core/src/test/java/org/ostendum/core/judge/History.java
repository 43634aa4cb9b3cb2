package org.ostendum.core.judge;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;

/** The rounds and events of one battery, made by rule: for tests that ask for many histories. Round 0 is the first. */
final class History {
    /** What one cell shows in one round. */
    interface Cell<T> {
        T at(int round, int cell);
    }

    private final BatteryModel model;
    private final int rounds;
    private int daysApart = 14;
    private Cell<Integer> points = (round, cell) -> 1282 + (cell + round) % 2;
    private Cell<Double> volts = (round, cell) -> Double.NaN;
    private Cell<RoundState> state = (round, cell) -> RoundState.FULL_CHARGE;
    private int drawnTwice;
    private int celsius = 25;
    private final List<BatteryEvent> events = new ArrayList<>();

    History(BatteryModel model, int rounds) {
        this.model = model;
        this.rounds = rounds;
    }

    /** @param points by which a cell reads below its usual 1.282; the others hop by one */
    History below(Cell<Integer> points) {
        Cell<Integer> usual = this.points;
        this.points = (round, cell) -> usual.at(round, cell) - points.at(round, cell);
        return this;
    }

    /** @param volts of a cell on charge; not a number where it was not measured */
    History onCharge(Cell<Double> volts) {
        this.volts = volts;
        return this;
    }

    History state(Cell<RoundState> state) {
        this.state = state;
        return this;
    }

    History every(int days) {
        this.daysApart = days;
        return this;
    }

    History at(int celsius) {
        this.celsius = celsius;
        return this;
    }

    /** The cell's latest sample was drawn again. */
    History drawnTwice(int cell) {
        this.drawnTwice = cell;
        return this;
    }

    History happened(List<? extends BatteryEvent> more) {
        events.addAll(more);
        return this;
    }

    static Instant daysAgo(double days) {
        return Cases.NOW.minus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    /** Oldest first. */
    List<Round> rounds() {
        return IntStream.range(0, rounds).mapToObj(this::round).toList();
    }

    Verdict judged() {
        List<PastRound> read =
                new ArrayList<>(rounds().stream().map(Cases::sound).toList());
        PastRound latest = read.remove(rounds - 1);
        return Judge.judge(new Case(model, Rules.standard(), ZoneOffset.UTC, latest, read, new EventLog(events)));
    }

    private Round round(int round) {
        List<CellReading> readings = new ArrayList<>();
        for (int cell = 1; cell <= model.cells(); cell++) {
            readings.add(reading(round, cell));
        }
        Instant at = daysAgo((double) daysApart * (rounds - 1 - round));
        return new Round(at, state.at(round, 0), Celsius.of(celsius), readings);
    }

    private CellReading reading(int round, int cell) {
        boolean twice = cell == drawnTwice && round == rounds - 1;
        @Nullable Double measured = volts.at(round, cell);
        boolean onCharge = !Double.isNaN(measured);
        return new CellReading(
                cell,
                SpecificGravity.ofPoints(points.at(round, cell)),
                false,
                twice,
                null,
                onCharge ? Volts.of(measured) : null,
                onCharge,
                null,
                null);
    }
}
