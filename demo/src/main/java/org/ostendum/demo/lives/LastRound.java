package org.ostendum.demo.lives;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.SpecificGravity;

/** The last round as its endings have it; levels and colours are looked at in it, whatever they are. */
final class LastRound {
    private static final Duration AFTER_WATER = Duration.ofMinutes(20);
    private static final Duration AFTER_EQUALISE = Duration.ofMinutes(40);
    /** Water that floats on the acid, points. */
    private static final int FLOATING = -35;

    private static final int MILLILITRES_A_CELL = 40;
    /** Gravities of an empty and of a full cell, points, near enough for a reading in the middle of work. */
    private static final int FROM_EMPTY_TO_FULL = 145;

    private final List<Ending> endings;

    LastRound(List<Ending> endings) {
        this.endings = endings;
    }

    private <E extends Ending> Stream<E> of(Class<E> kind) {
        return endings.stream().filter(kind::isInstance).map(kind::cast);
    }

    private boolean has(Class<? extends Ending> kind) {
        return of(kind).findAny().isPresent();
    }

    Year of(Year year) {
        List<Round> rounds = new ArrayList<>(year.rounds());
        Round last = rounds.remove(rounds.size() - 1);
        List<BatteryEvent> events = new ArrayList<>(year.events());
        if (has(Ending.EqualisedAtTheEnd.class)) {
            events.add(new Equalised(last.takenAt().minus(AFTER_EQUALISE), Duration.ofHours(3)));
        }
        if (has(Ending.ReadAfterWater.class)) {
            int poured = MILLILITRES_A_CELL * last.readings().size();
            events.add(new Watered(last.takenAt().minus(AFTER_WATER), new Millilitres(poured), null, Fill.UNSTATED));
        }
        events.sort(Comparator.comparing(BatteryEvent::at));
        rounds.add(new Round(
                last.takenAt(),
                state(last),
                last.temperature(),
                last.readings().stream().map(this::reading).toList()));
        return new Year(events, rounds);
    }

    private RoundState state(Round last) {
        if (has(Ending.ReadInService.class)) {
            return RoundState.IN_SERVICE;
        }
        return has(Ending.EqualisedAtTheEnd.class) ? RoundState.AFTER_EQUALISE : last.state();
    }

    private CellReading reading(CellReading read) {
        int cell = read.cell();
        boolean tooLow = of(Ending.PlatesShowing.class).anyMatch(e -> e.cell() == cell);
        int points = Objects.requireNonNull(read.gravity()).points() + off(cell);
        return new CellReading(
                cell,
                tooLow ? null : SpecificGravity.ofPoints(Math.max(SpecificGravity.LEAST_POINTS, points)),
                tooLow,
                has(Ending.EqualisedAtTheEnd.class),
                null,
                null,
                false,
                level(cell),
                colour(cell));
    }

    private int off(int cell) {
        int slip = of(Ending.SlipOfTheKey.class)
                .filter(e -> e.cell() == cell)
                .mapToInt(Ending.SlipOfTheKey::pointsOff)
                .sum();
        int used = of(Ending.ReadInService.class)
                .mapToInt(e -> -FROM_EMPTY_TO_FULL * (100 - e.percentLeft()) / 100)
                .sum();
        return slip + used + (has(Ending.ReadAfterWater.class) ? FLOATING : 0);
    }

    private Level level(int cell) {
        if (of(Ending.PlatesShowing.class).anyMatch(e -> e.cell() == cell)) {
            return Level.EXPOSED;
        }
        if (of(Ending.Thirsty.class).anyMatch(e -> cell <= e.cells())) {
            return Level.LOW;
        }
        return of(Ending.Overfilled.class).anyMatch(e -> cell <= e.cells()) ? Level.OVER : Level.RIGHT;
    }

    private @Nullable Colour colour(int cell) {
        return of(Ending.Turned.class)
                .filter(e -> e.cell() == cell)
                .map(Ending.Turned::colour)
                .findFirst()
                .orElse(Colour.CLEAR);
    }
}
