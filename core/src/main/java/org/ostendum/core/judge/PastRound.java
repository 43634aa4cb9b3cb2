package org.ostendum.core.judge;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Round;

/** A round with what is to be held of it. Immutable. */
public final class PastRound {
    private final Round round;
    private final List<Doubt> doubts;
    private final Set<Integer> setAside;
    /** A round is looked at by each verdict of the next year: what it says is worked out once. */
    private @Nullable Corrected corrected;

    private @Nullable RoundVolts volts;
    private @Nullable Boolean levels;

    private @Nullable Believed believed;

    private record Believed(Gravities read, Set<Integer> without, Gravities rest) {}

    private record Corrected(TemperatureCorrection by, Gravities gravities) {}

    public PastRound(Round round, List<Doubt> doubts, Set<Integer> setAside) {
        this.round = round;
        this.doubts = List.copyOf(doubts);
        this.setAside = Set.copyOf(setAside);
    }

    /** A round in which every gravity is believed. */
    public PastRound(Round round, List<Doubt> doubts) {
        this(round, doubts, Set.of());
    }

    /** The same round with some of its gravities not believed. */
    public PastRound settingAside(Set<Integer> cells) {
        PastRound same = new PastRound(round, doubts, cells);
        same.corrected = corrected;
        same.volts = volts;
        same.levels = levels;
        return same;
    }

    public Round round() {
        return round;
    }

    /** @return empty when its gravities can be relied on */
    public List<Doubt> doubts() {
        return doubts;
    }

    /** @return cells whose gravity leapt so far that it was not believed then; a later round may bear it out */
    public Set<Integer> setAside() {
        return setAside;
    }

    /** @return its gravities as read, brought to the reference temperature */
    public Gravities gravities(TemperatureCorrection correction) {
        Corrected known = corrected;
        if (known == null || !known.by().equals(correction)) {
            known = new Corrected(correction, Gravities.of(round, correction));
            corrected = known;
        }
        return known.gravities();
    }

    /** The same without some cells: which of those set aside were slips does not change from one verdict to the next. */
    Gravities gravitiesWithout(Set<Integer> cells, TemperatureCorrection correction) {
        Gravities read = gravities(correction);
        Believed known = believed;
        if (known == null || !known.read().equals(read) || !known.without().equals(cells)) {
            known = new Believed(read, Set.copyOf(cells), read.without(cells));
            believed = known;
        }
        return known.rest();
    }

    /** @return whether anybody looked at the level of a cell */
    public boolean hasLevels() {
        Boolean known = levels;
        if (known == null) {
            known = round.readings().stream().anyMatch(reading -> reading.level() != null);
            levels = known;
        }
        return known;
    }

    RoundVolts chargeVolts() {
        RoundVolts known = volts;
        if (known == null) {
            known = RoundVolts.of(round);
            volts = known;
        }
        return known;
    }

    public boolean isSound() {
        return doubts.isEmpty();
    }

    /**
     * @param since when the cell now in a position was put in, by its number
     * @return the round without readings of cells that are no longer there
     */
    public PastRound ofCellsSince(Map<Integer, Instant> since) {
        List<CellReading> these = round.readings().stream()
                .filter(reading -> isOfThisCell(since.get(reading.cell())))
                .toList();
        return these.size() == round.readings().size()
                ? this
                : new PastRound(
                        new Round(round.takenAt(), round.state(), round.temperature(), these), doubts, setAside);
    }

    /** The same round with its cells under other numbers. */
    public PastRound renumbered(IntUnaryOperator now) {
        List<CellReading> moved = round.readings().stream()
                .map(reading -> reading.ofCell(now.applyAsInt(reading.cell())))
                .sorted(Comparator.comparing(CellReading::cell))
                .toList();
        Set<Integer> aside = setAside.stream().map(now::applyAsInt).collect(Collectors.toSet());
        return new PastRound(new Round(round.takenAt(), round.state(), round.temperature(), moved), doubts, aside);
    }

    private boolean isOfThisCell(@Nullable Instant since) {
        return since == null || !round.takenAt().isBefore(since);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof PastRound that
                && round.equals(that.round)
                && doubts.equals(that.doubts)
                && setAside.equals(that.setAside);
    }

    @Override
    public int hashCode() {
        return Objects.hash(round, doubts, setAside);
    }

    @Override
    public String toString() {
        return "PastRound[" + round + ", doubts " + doubts + ", set aside " + setAside + "]";
    }
}
