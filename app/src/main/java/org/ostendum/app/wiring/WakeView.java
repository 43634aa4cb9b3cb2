package org.ostendum.app.wiring;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.recover.WakeGroups;

/**
 * How a flat battery is woken.
 *
 * @param forbidden whether it may not be at all
 * @param speaksAgainst why there is nothing to wake, by its state; null where nothing says so
 * @param besides good batteries that it can be woken beside, the best first
 * @param limited whether what flows between the two has to be limited
 * @param groups for a smaller charger; null for what is no pack
 * @param lockOut volts below which its own charger does not begin; null where nobody has typed it
 */
record WakeView(
        Battery battery,
        boolean forbidden,
        @Nullable String speaksAgainst,
        List<Battery> besides,
        boolean limited,
        @Nullable Groups groups,
        @Nullable Double lockOut) {
    /**
     * A pack woken one group after the other.
     *
     * @param known whether the charger is: nothing is drawn for one that was only guessed at, somebody would clamp what he sees
     * @param sum of what was read across the groups, V; null before all are read
     */
    record Groups(WakeGroups of, boolean known, List<Drawn> drawn, @Nullable Double sum) {}

    /**
     * A group with its clamps drawn.
     *
     * @param field name of the field in which its volts are typed
     */
    record Drawn(WakeGroups.Group group, int volts, WiringDrawing drawing, String field) {}

    public @Nullable Double sum() {
        return groups == null ? null : groups.sum();
    }
}
