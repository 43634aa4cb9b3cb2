package org.ostendum.core.recover;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.quantity.OutOfRange;

/**
 * Which blocks of a flat pack a smaller charger is clamped across, one group after the other: the nominal voltage of each is at least the
 * charger's, for one block below it would be overcharged. Practice {@code recover.groups}.
 *
 * @param blockVolts nominal, of one block
 * @param groups from the positive end on; they hold every block
 */
public record WakeGroups(int blockVolts, int chargerVolts, List<Group> groups) {
    /** For each group (rule of thumb). */
    public static final Duration EACH = Duration.ofMinutes(30);

    private static final int LEAST_CHARGER = 2;
    private static final int MOST_CHARGER = 120;

    public WakeGroups {
        groups = List.copyOf(groups);
    }

    /**
     * Blocks that stand side by side in the current's path; the clamps go on the positive post of the first and the negative of the last.
     *
     * @param first number of a block
     * @param last not before {@code first}
     * @param fresh blocks that no group before holds: the last group reaches back where it would be too short
     */
    public record Group(int first, int last, int fresh) {
        public int blocks() {
            return last - first + 1;
        }

        /** @return whether some of its blocks are charged a second time: its time is cut short as soon as one grows warm */
        public boolean reachesBack() {
            return fresh < blocks();
        }
    }

    /**
     * @param chargerVolts nominal, 2 to 120 V
     * @return no groups where the charger is above the whole pack
     */
    public static WakeGroups of(CellLayout layout, int chargerVolts) {
        OutOfRange.check("charger", chargerVolts, LEAST_CHARGER, MOST_CHARGER);
        int blocks = layout.cases().size();
        int blockVolts = 2 * layout.cellsPerCase();
        int many = Math.max(1, (chargerVolts + blockVolts - 1) / blockVolts);
        List<Group> groups = new ArrayList<>();
        for (int first = 1; many <= blocks && first <= blocks; first += many) {
            int last = Math.min(blocks, first + many - 1);
            groups.add(new Group(last - many + 1, last, last - first + 1));
        }
        return new WakeGroups(blockVolts, chargerVolts, groups);
    }

    public int volts(Group group) {
        return group.blocks() * blockVolts;
    }

    public Duration takes() {
        return EACH.multipliedBy(groups.size());
    }

    /**
     * @param read V across each group after its time, in their order
     * @return V of the whole pack: of a group that reaches back its fresh blocks alone, as its mean has it
     */
    public double packVolts(List<Double> read) {
        if (read.size() != groups.size()) {
            throw new IllegalArgumentException(read.size() + " voltages for " + groups.size() + " groups");
        }
        double sum = 0;
        for (int i = 0; i < read.size(); i++) {
            Group group = groups.get(i);
            sum += read.get(i) * group.fresh() / group.blocks();
        }
        return sum;
    }
}
