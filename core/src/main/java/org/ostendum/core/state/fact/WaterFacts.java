package org.ostendum.core.state.fact;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.BlocksMoved;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.DrewOff;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.LevelRead;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.fact.CellLevel.Basis;
import org.ostendum.core.water.WaterPace;

/**
 * What is known of the water in a battery: the level of each cell, and whether what was poured is mixed in.
 *
 * @param levels by cell; a cell of which nothing is known is not in it
 * @param watered when water was last poured, null where nobody knows of any
 * @param gassed Ah that have made gas since then, as far as they are on record
 * @param mixed whether they were enough to mix it in
 * @param pace how quickly it drinks
 */
public record WaterFacts(
        Map<Integer, CellLevel> levels, @Nullable Instant watered, double gassed, Answer mixed, WaterPace pace) {
    static final WaterFacts NOTHING = new WaterFacts(Map.of(), null, 0, Answer.UNKNOWN, WaterPace.NOTHING);

    /** Nothing stands lower than that in a cell anybody still looks at, nor higher over a mark, mm. */
    private static final double DEEPEST = -25;

    private static final double HIGHEST_OVER = 25;
    /** A jug and a glance: so far from the mark a watering ends, mm (rule of thumb). */
    private static final double FILLED_WITHIN = 3;

    private static final double MEASURED_WITHIN = 1;
    /** The level of a discharged cell rises so far until it is full, mm (rule of thumb). */
    private static final double RISE = 5;
    /** ml split for each Ah of overcharge and cell. Source: Faraday's law; Bode, Lead-Acid Batteries. */
    private static final double MILLILITRES_PER_AH = 0.336;
    /** An old battery loses that much more than a new one (rule of thumb). */
    private static final double AGEING_MOST = 2;
    /** Overcharge of a charge of which nothing is on record, part of capacity (rule of thumb). */
    private static final double USUAL_OVERCHARGE = 0.06;
    /** Finishing current, part of capacity for each hour (rule of thumb). */
    private static final double EQUALISE_RATE = 0.04;

    private static final double USUAL_EQUALISE_HOURS = 3;
    /** What is poured on all cells does not go into each alike. */
    private static final double SHARE_LEAST = 0.6;

    private static final double SHARE_MOST = 1.5;

    public WaterFacts {
        levels = Map.copyOf(levels);
    }

    /**
     * @param charge as it was before the event and as it is after it
     * @param bridged cells that use no water, and get none
     */
    WaterFacts after(BatteryEvent event, Turn charge, Set<Integer> bridged, Sheet sheet) {
        if (event instanceof Watered water) {
            return watered(water, bridged, sheet);
        } else if (event instanceof DrewOff drew) {
            return drewOff(drew, sheet);
        } else if (event instanceof LevelRead read) {
            return with(
                    read.cell(),
                    new CellLevel(
                            read.millimetres() - MEASURED_WITHIN,
                            read.millimetres() + MEASURED_WITHIN,
                            Basis.MEASURED,
                            read.at()));
        } else if (event instanceof CellReplaced replaced) {
            Map<Integer, CellLevel> others = new TreeMap<>(levels);
            others.remove(replaced.cell());
            return new WaterFacts(others, watered, gassed, mixed, pace);
        } else if (event instanceof BlocksMoved moved) {
            int perBlock = sheet.model().layout().cellsPerCase();
            return new WaterFacts(CellFacts.renumbered(levels, moved, perBlock), watered, gassed, mixed, pace);
        } else if (event instanceof ChargeEnded ended) {
            return charged(overcharge(ended, charge, sheet), charge, sheet);
        } else if (event instanceof Equalised equalising) {
            double hours = equalising.lasted() == null ? USUAL_EQUALISE_HOURS : equalising.hours();
            return charged(Answer.YES, EQUALISE_RATE * hours * sheet.capacity(), charge, sheet);
        }
        return this;
    }

    /** The charge before an event and after it. */
    record Turn(ChargeFacts before, ChargeFacts after) {}

    private record Overcharge(Answer known, double ampHours) {}

    private WaterFacts charged(Overcharge overcharge, Turn charge, Sheet sheet) {
        return charged(overcharge.known(), overcharge.ampHours(), charge, sheet);
    }

    /** A charge that was ended before full has hardly gassed; of one on no evidence nobody knows. */
    private static Overcharge overcharge(ChargeEnded ended, Turn charge, Sheet sheet) {
        double taken = charge.before().missing().ampHours();
        boolean isFull = charge.after().full().isYes();
        if (ended.returned() != null && charge.before().missing().isKnown() && taken > 0) {
            double over = ended.returned().ampHours() - taken;
            return new Overcharge(Answer.of(over > 0 || isFull), Math.max(0, over));
        } else if (ended.ending().isBeforeFull()) {
            return new Overcharge(Answer.NO, 0);
        }
        return new Overcharge(isFull ? Answer.YES : Answer.UNKNOWN, USUAL_OVERCHARGE * sheet.capacity());
    }

    private WaterFacts charged(Answer known, double ampHours, Turn charge, Sheet sheet) {
        double used = MILLILITRES_PER_AH * ampHours / perMm(sheet);
        double rise = charge.after().full().isYes() && !charge.before().full().isYes() ? RISE : 0;
        WaterFacts lower = known.isNo() ? this : each(level -> level.moved(-AGEING_MOST * used, rise - used));
        double all = gassed + (known.isNo() ? 0 : ampHours);
        double wanted = sheet.rules().percent(RuleKey.GASSING_TO_MIX) / 100.0 * sheet.capacity();
        Answer now = mixed.isYes() || known.isNo()
                ? mixed
                : all < wanted ? mixed : known == Answer.UNKNOWN ? Answer.UNKNOWN : Answer.YES;
        return new WaterFacts(lower.levels, watered, all, now, pace);
    }

    private WaterFacts watered(Watered water, Set<Integer> bridged, Sheet sheet) {
        Map<Integer, CellLevel> now = new TreeMap<>(levels);
        List<Integer> cells = water.cell() == null ? atWork(bridged, sheet) : List.of(water.cell());
        double share = water.poured() == null ? 0 : (double) water.millilitres() / cells.size() / perMm(sheet);
        for (int cell : cells) {
            now.put(cell, filled(levels.get(cell), water, share, sheet.model().levels()));
        }
        return new WaterFacts(now, water.at(), 0, Answer.NO, pace.after(water));
    }

    private static List<Integer> atWork(Set<Integer> bridged, Sheet sheet) {
        return IntStream.rangeClosed(1, sheet.model().cells())
                .filter(cell -> !bridged.contains(cell))
                .boxed()
                .toList();
    }

    /** @param rise by which the poured water lifts a cell, mm; 0 where nobody has said how much it was */
    private static CellLevel filled(@Nullable CellLevel before, Watered water, double rise, LevelMarks marks) {
        double mark = marks.markMm();
        if (water.fill() == Fill.COVERED) {
            return covered(before, water.at(), marks);
        }
        if (before != null && before.isOver(marks).isYes()) {
            return new CellLevel(before.lowMm(), before.highMm() + rise, Basis.POURED, water.at());
        }
        boolean said = water.fill() == Fill.TO_MARK || rise == 0;
        if (said) {
            return new CellLevel(mark - FILLED_WITHIN, mark + FILLED_WITHIN - 1, Basis.POURED, water.at());
        }
        double low = before == null ? 0 : Math.min(mark - FILLED_WITHIN, before.lowMm() + SHARE_LEAST * rise);
        double high = before == null ? marks.overMm() : Math.min(marks.overMm(), before.highMm() + SHARE_MOST * rise);
        return new CellLevel(Math.min(low, high), Math.max(low, high), Basis.POURED, water.at());
    }

    /** A cell whose plates were covered already gets none of it. */
    private static CellLevel covered(@Nullable CellLevel before, Instant at, LevelMarks marks) {
        if (before != null && before.coversPlates().isYes()) {
            return before;
        }
        double high = before == null ? marks.lowMm() : Math.max(before.highMm(), marks.lowMm());
        return new CellLevel(0, high, Basis.COVERED, at);
    }

    private WaterFacts drewOff(DrewOff drew, Sheet sheet) {
        LevelMarks marks = sheet.model().levels();
        Map<Integer, CellLevel> now = new TreeMap<>(levels);
        if (drew.cell() != null) {
            now.put(drew.cell(), atMark(marks, drew.at()));
        } else {
            now.replaceAll((cell, level) -> level.isOver(marks).isNo() ? level : atMark(marks, drew.at()));
        }
        return new WaterFacts(now, watered, gassed, mixed, pace);
    }

    private static CellLevel atMark(LevelMarks marks, Instant at) {
        return new CellLevel(marks.markMm() - FILLED_WITHIN, marks.markMm() + FILLED_WITHIN - 1, Basis.DRAWN_OFF, at);
    }

    /** @return cells that are known to stand over the mark */
    List<Integer> overMark(LevelMarks marks) {
        return levels.entrySet().stream()
                .filter(cell -> cell.getValue().isOver(marks).isYes())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** What a round has seen of the levels. */
    public WaterFacts afterLooking(Round round, Sheet sheet) {
        Map<Integer, CellLevel> now = new TreeMap<>(levels);
        for (CellReading reading : round.readings()) {
            Level seen = reading.level();
            if (seen != null || reading.tooLow()) {
                now.put(
                        reading.cell(),
                        seen(seen, reading.tooLow(), sheet.model().levels(), round.takenAt()));
            }
        }
        return new WaterFacts(now, watered, gassed, mixed, pace);
    }

    private static CellLevel seen(@Nullable Level level, boolean tooLow, LevelMarks marks, Instant at) {
        if (level == null) {
            // Too low to be drawn: it may be over the plates or not.
            return new CellLevel(DEEPEST, marks.lowMm(), Basis.SEEN, at);
        }
        return switch (level) {
            case EXPOSED -> new CellLevel(DEEPEST, 0, Basis.SEEN, at);
            case LOW -> new CellLevel(tooLow ? DEEPEST : 0, marks.lowMm(), Basis.SEEN, at);
            case RIGHT -> new CellLevel(marks.lowMm(), marks.overMm(), Basis.SEEN, at);
            case OVER -> new CellLevel(marks.overMm(), marks.overMm() + HIGHEST_OVER, Basis.SEEN, at);
        };
    }

    /** A sound round on a full charge long after the water was mixed by charges that nobody wrote down. */
    public WaterFacts mixedByUnlogged() {
        return new WaterFacts(levels, watered, gassed, Answer.YES, pace);
    }

    private WaterFacts with(int cell, CellLevel level) {
        Map<Integer, CellLevel> now = new TreeMap<>(levels);
        now.put(cell, level);
        return new WaterFacts(now, watered, gassed, mixed, pace);
    }

    private WaterFacts each(UnaryOperator<CellLevel> change) {
        Map<Integer, CellLevel> now = new TreeMap<>();
        levels.forEach((cell, level) -> now.put(cell, change.apply(level)));
        return new WaterFacts(now, watered, gassed, mixed, pace);
    }

    private static double perMm(Sheet sheet) {
        return sheet.model().levels().millilitresPerMm(sheet.capacity());
    }

    /** @return the levels known, without those of some cells */
    public Map<Integer, CellLevel> levelsWithout(Set<Integer> cells) {
        if (cells.isEmpty()) {
            return levels;
        }
        Map<Integer, CellLevel> others = new TreeMap<>(levels);
        others.keySet().removeAll(cells);
        return others;
    }
}
