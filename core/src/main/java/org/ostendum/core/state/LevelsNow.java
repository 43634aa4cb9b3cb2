package org.ostendum.core.state;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.state.fact.CellLevel;

/** How high the acid stands in the cells at one moment, by what they want. */
public final class LevelsNow {
    private final Map<Integer, CellLevel> levels;
    private final int cellsAtWork;
    private final List<Integer> bare = new ArrayList<>();
    private final List<Integer> over = new ArrayList<>();
    private final List<Integer> low = new ArrayList<>();
    private final Answer covered;

    /** @param levels of cells at work of which one is known */
    LevelsNow(Map<Integer, CellLevel> levels, int cellsAtWork, LevelMarks marks) {
        this.levels = levels;
        this.cellsAtWork = cellsAtWork;
        new TreeMap<>(levels).forEach((cell, level) -> {
            addIf(level.coversPlates().isNo(), cell, bare);
            addIf(level.isOver(marks).isYes(), cell, over);
            addIf(level.wantsWater(marks), cell, low);
        });
        this.covered = covered();
    }

    private static void addIf(boolean holds, int cell, List<Integer> cells) {
        if (holds) {
            cells.add(cell);
        }
    }

    private Answer covered() {
        if (!bare.isEmpty()) {
            return Answer.NO;
        }
        boolean all = levels.size() == cellsAtWork
                && levels.values().stream()
                        .allMatch(level -> level.coversPlates().isYes());
        return all ? Answer.YES : Answer.UNKNOWN;
    }

    /** @return level of each cell at work of which one is known */
    public Map<Integer, CellLevel> byCell() {
        return levels;
    }

    /** @return cells whose plates are known to show */
    public List<Integer> bare() {
        return List.copyOf(bare);
    }

    /** @return cells known to stand over the mark */
    public List<Integer> over() {
        return List.copyOf(over);
    }

    /** @return cells to be filled: known to stand below the low mark, bare or only just covered ones among them */
    public List<Integer> low() {
        return List.copyOf(low);
    }

    /** @return whether the plates of every cell are covered; unknown where one was never looked into */
    public Answer platesCovered() {
        return covered;
    }
}
