package org.ostendum.core.state.fact;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.BlocksMoved;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.judge.PastRound;

/**
 * Which cells stand in its positions: a position is a place that cells pass through.
 *
 * @param since when the cell now in a position was put in, for those that were replaced
 * @param bridged until when a cell is bridged, for those that are
 * @param moves how blocks have changed places, oldest first
 */
public record CellFacts(Map<Integer, Instant> since, Map<Integer, Instant> bridged, List<BlocksMoved> moves) {
    static final CellFacts NOTHING = new CellFacts(Map.of(), Map.of(), List.of());

    public CellFacts {
        since = Map.copyOf(since);
        bridged = Map.copyOf(bridged);
        moves = List.copyOf(moves);
    }

    CellFacts after(BatteryEvent event, Sheet sheet) {
        if (event instanceof CellReplaced replaced) {
            Map<Integer, Instant> now = new TreeMap<>(since);
            now.put(replaced.cell(), replaced.at());
            return new CellFacts(now, without(replaced.cell()), moves);
        } else if (event instanceof CellBridged bridge) {
            Map<Integer, Instant> now = new TreeMap<>(bridged);
            now.put(bridge.cell(), bridge.until());
            return new CellFacts(since, now, moves);
        } else if (event instanceof BlocksMoved moved) {
            List<BlocksMoved> all = new ArrayList<>(moves);
            all.add(moved);
            int perBlock = sheet.model().layout().cellsPerCase();
            return new CellFacts(renumbered(since, moved, perBlock), renumbered(bridged, moved, perBlock), all);
        }
        return this;
    }

    private Map<Integer, Instant> without(int cell) {
        Map<Integer, Instant> others = new TreeMap<>(bridged);
        others.remove(cell);
        return others;
    }

    /** What was known by cell goes with its block to the new place. */
    static <T> Map<Integer, T> renumbered(Map<Integer, T> byCell, BlocksMoved moved, int cellsPerBlock) {
        return byCell.entrySet().stream()
                .collect(Collectors.toMap(e -> moved.now(e.getKey(), cellsPerBlock), Map.Entry::getValue));
    }

    /** @return an earlier round as the cells stand now: those gone or bridged left out, those moved under their new numbers */
    public PastRound asTheyStand(PastRound past, Sheet sheet) {
        if (since.isEmpty() && bridged.isEmpty() && moves.isEmpty()) {
            return past;
        }
        PastRound now = past;
        int perBlock = sheet.model().layout().cellsPerCase();
        for (BlocksMoved moved : moves) {
            if (past.round().takenAt().isBefore(moved.at())) {
                now = now.renumbered(cell -> moved.now(cell, perBlock));
            }
        }
        Map<Integer, Instant> from = new TreeMap<>(since);
        bridged.keySet().forEach(cell -> from.put(cell, Instant.MAX));
        return from.isEmpty() ? now : now.ofCellsSince(from);
    }
}
