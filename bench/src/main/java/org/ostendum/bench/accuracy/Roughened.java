package org.ostendum.bench.accuracy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.sim.Life;

/** What is on record of a life where a site reads, logs and measures less well than it might. */
final class Roughened {
    /** A shift takes the gravity of every cell down by so many points, least and most. */
    private static final int WORK_LEAST = 30;

    private static final int WORK_MOST = 100;

    private final Random random;

    private Roughened(long seed) {
        // The first draws of generators whose seeds follow each other hardly differ: all lives would be roughened
        // alike.
        this.random = new Random(new SplittableRandom(seed).nextLong());
    }

    static Life of(Life life, Condition condition, long seed) {
        return new Roughened(seed).roughened(life, condition);
    }

    private Life roughened(Life life, Condition condition) {
        return switch (condition) {
            case AS_THEY_COME, NO_VOLTS, COLD_ROOM, HOT_ROOM, REPLACED_CELLS, SENT_TWICE -> life;
            case IRREGULAR -> thinned(life, 14, 90);
            case QUARTERLY -> thinned(life, 84, 98);
            case HALF_THE_CELLS -> inTurn(life);
            case IN_SERVICE_BETWEEN -> inService(life);
            case NO_CHARGES -> withoutCharges(life);
            case ROUGH_METER -> rough(life, 0.005 + 0.02 * random.nextDouble());
            case FIVE_POINTS -> divided(life, 5);
            case TEN_POINTS -> divided(life, 10);
            case READER_OFF -> off(life, random.nextBoolean() ? 6 : -12);
        };
    }

    /** Only some of the rounds, so many days apart. */
    private Life thinned(Life life, int least, int most) {
        List<Round> rounds = new ArrayList<>();
        List<Life.Truth> truths = new ArrayList<>();
        Instant next = Instant.MIN;
        for (int i = 0; i < life.rounds().size(); i++) {
            Instant at = life.rounds().get(i).takenAt();
            if (!at.isBefore(next)) {
                rounds.add(life.rounds().get(i));
                truths.add(life.truths().get(i));
                next = at.plus(Duration.ofDays(least + random.nextInt(most - least + 1)));
            }
        }
        return new Life(life.events(), rounds, truths, life.voltages());
    }

    private Life inTurn(Life life) {
        List<Round> rounds = new ArrayList<>();
        for (int i = 0; i < life.rounds().size(); i++) {
            int odd = i % 2;
            Round round = life.rounds().get(i);
            rounds.add(with(
                    round,
                    round.state(),
                    round.readings().stream().filter(r -> r.cell() % 2 == odd).toList()));
        }
        return new Life(life.events(), rounds, life.truths(), life.voltages());
    }

    /** The same current has gone through every cell, so that all of them stand as much lower; nothing was read on charge. */
    private Life inService(Life life) {
        return changed(life, (round, i) -> {
            int down = i % 2 == 0 ? 0 : WORK_LEAST + random.nextInt(WORK_MOST - WORK_LEAST);
            return down == 0
                    ? new Read(round.state(), gravity -> gravity, UnaryOperator.identity())
                    : new Read(RoundState.IN_SERVICE, gravity -> moved(gravity, -down), Roughened::withoutVolts);
        });
    }

    private static Life withoutCharges(Life life) {
        List<BatteryEvent> left = life.events().all().stream()
                .filter(e -> !(e instanceof BatteryEvent.Worked) && !(e instanceof BatteryEvent.ChargeEnded))
                .toList();
        return new Life(new EventLog(left), life.rounds(), life.truths(), life.voltages());
    }

    private Life rough(Life life, double scatter) {
        return changed(
                life,
                (round, i) -> new Read(round.state(), gravity -> gravity, r -> {
                    Volts volts = r.volts();
                    return volts == null
                            ? r
                            : with(r, r.gravity(), Volts.of(volts.volts() + scatter * random.nextGaussian()));
                }));
    }

    private static Life divided(Life life, int points) {
        return changed(
                life,
                (round, i) -> new Read(
                        round.state(),
                        gravity -> SpecificGravity.ofPoints(Math.round(gravity.points() / (float) points) * points),
                        UnaryOperator.identity()));
    }

    private static Life off(Life life, int points) {
        int half = life.rounds().size() / 2;
        return changed(
                life,
                (round, i) -> new Read(
                        round.state(),
                        gravity -> i < half ? gravity : moved(gravity, points),
                        UnaryOperator.identity()));
    }

    /**
     * How a round is read.
     *
     * @param gravity what the float shows instead; the same when it is drawn again
     * @param rest what else changes of a reading
     */
    private record Read(RoundState state, UnaryOperator<SpecificGravity> gravity, UnaryOperator<CellReading> rest) {}

    private interface Reading {
        Read of(Round round, int index);
    }

    private static Life changed(Life life, Reading reading) {
        List<Round> rounds = new ArrayList<>();
        List<Life.Truth> truths = new ArrayList<>();
        for (int i = 0; i < life.rounds().size(); i++) {
            Round round = life.rounds().get(i);
            Read read = reading.of(round, i);
            rounds.add(with(
                    round,
                    read.state(),
                    round.readings().stream()
                            .map(r -> read.rest()
                                    .apply(with(
                                            r,
                                            r.gravity() == null
                                                    ? null
                                                    : read.gravity().apply(r.gravity()),
                                            r.volts())))
                            .toList()));
            truths.add(again(life.truths().get(i), read.gravity()));
        }
        return new Life(life.events(), rounds, truths, life.voltages());
    }

    private static Life.Truth again(Life.Truth t, UnaryOperator<SpecificGravity> gravity) {
        return new Life.Truth(
                t.day(),
                t.mixed(),
                t.layered(),
                t.hard(),
                t.plates(),
                t.mistaken(),
                t.again().stream().map(gravity).toList(),
                t.unmixed());
    }

    private static CellReading withoutVolts(CellReading r) {
        return with(r, r.gravity(), null);
    }

    private static Round with(Round round, RoundState state, List<CellReading> readings) {
        return new Round(round.takenAt(), state, round.temperature(), readings);
    }

    private static SpecificGravity moved(SpecificGravity gravity, int points) {
        return SpecificGravity.ofPoints(Math.max(
                SpecificGravity.LEAST_POINTS, Math.min(SpecificGravity.MOST_POINTS, gravity.points() + points)));
    }

    private static CellReading with(CellReading r, @Nullable SpecificGravity gravity, @Nullable Volts volts) {
        return new CellReading(
                r.cell(),
                gravity,
                r.tooLow(),
                r.confirmed(),
                r.temperature(),
                volts,
                r.onCharge() && volts != null,
                r.level(),
                r.colour());
    }
}
