package org.ostendum.core.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.BlocksMoved;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellMarked;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.RoundTaken;
import org.ostendum.core.history.CellPast.Stay;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.state.fact.Sheet;

/** Follows every cell of a battery through its events. Each position had its first cell from the beginning. */
public final class CellPasts {
    private final Sheet sheet;
    private final List<Following> standing = new ArrayList<>();
    private final List<Following> gone = new ArrayList<>();

    private CellPasts(Sheet sheet) {
        this.sheet = sheet;
        for (int position = 1; position <= sheet.model().cells(); position++) {
            standing.add(new Following(null, null, position));
        }
    }

    /** A cell as far as it has been followed. */
    private static final class Following {
        private final @Nullable Instant installed;
        private final List<Stay> stays = new ArrayList<>();
        private final List<BatteryCourse.Mark> marks = new ArrayList<>();
        private @Nullable String mark;
        private @Nullable String dateCode;
        private @Nullable Instant removed;
        private @Nullable Instant bridged;

        Following(@Nullable String mark, @Nullable Instant installed, int position) {
            this.mark = mark;
            this.installed = installed;
            stays.add(new Stay(position, installed));
        }

        CellPast past() {
            return new CellPast(mark, dateCode, installed, removed, bridged, stays, new BatteryCourse(marks));
        }
    }

    /**
     * @param events of the battery in any order, its rounds among them
     * @return the cells that are in it by their positions, then those that went out, the newest first
     */
    public static List<CellPast> of(Sheet sheet, Collection<? extends BatteryEvent> events) {
        CellPasts pasts = new CellPasts(sheet);
        events.stream().sorted(Comparator.comparing(BatteryEvent::at)).forEach(pasts::follow);
        List<CellPast> all = new ArrayList<>();
        pasts.standing.forEach(cell -> all.add(cell.past()));
        for (int i = pasts.gone.size() - 1; i >= 0; i--) {
            all.add(pasts.gone.get(i).past());
        }
        return all;
    }

    private void follow(BatteryEvent event) {
        if (event instanceof CellReplaced replaced && isPosition(replaced.cell())) {
            replace(replaced);
        } else if (event instanceof CellMarked marked && isPosition(marked.cell())) {
            mark(marked);
        } else if (event instanceof CellBridged bridge && isPosition(bridge.cell())) {
            standing.get(bridge.cell() - 1).bridged = bridge.until();
        } else if (event instanceof BlocksMoved moved) {
            move(moved);
        } else if (event instanceof RoundTaken taken && taken.round().state().isFull()) {
            read(taken.round());
        }
    }

    private boolean isPosition(int cell) {
        return cell >= 1 && cell <= standing.size();
    }

    private void replace(CellReplaced replaced) {
        Following old = standing.get(replaced.cell() - 1);
        old.removed = replaced.at();
        old.bridged = null;
        gone.add(old);
        standing.set(replaced.cell() - 1, new Following(replaced.serial(), replaced.at(), replaced.cell()));
    }

    /** A block bears one mark for all its cells; what is not said anew stands. */
    private void mark(CellMarked marked) {
        int perBlock = sheet.model().layout().isPack() ? sheet.model().layout().cellsPerCase() : 1;
        int first = (marked.cell() - 1) / perBlock * perBlock;
        for (Following cell : standing.subList(first, first + perBlock)) {
            cell.mark = marked.serial() == null ? cell.mark : marked.serial();
            cell.dateCode = marked.dateCode() == null ? cell.dateCode : marked.dateCode();
        }
    }

    private void move(BlocksMoved moved) {
        List<Following> before = List.copyOf(standing);
        int perBlock = sheet.model().layout().cellsPerCase();
        for (int was = 1; was <= before.size(); was++) {
            int now = moved.now(was, perBlock);
            Following cell = before.get(was - 1);
            standing.set(now - 1, cell);
            if (now != was) {
                cell.stays.add(new Stay(now, moved.at()));
            }
        }
    }

    private void read(Round round) {
        Gravities gravities = Gravities.of(round, sheet.rules().temperatureCorrection());
        if (gravities.isEmpty()) {
            return;
        }
        CorrectedGravity middle = gravities.median();
        gravities.byCell().forEach((cell, gravity) -> {
            if (isPosition(cell)) {
                standing.get(cell - 1).marks.add(new BatteryCourse.Mark(round.takenAt(), middle, gravity));
            }
        });
    }
}
