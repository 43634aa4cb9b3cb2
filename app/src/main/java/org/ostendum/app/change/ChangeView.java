package org.ostendum.app.change;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.job.Job;
import org.ostendum.app.past.PastOfPlaces.Held;
import org.ostendum.core.change.Choosing;
import org.ostendum.core.change.Choosing.Ranked;

/**
 * A machine, and which battery goes into it.
 *
 * @param inIt the battery in it now; null for none
 * @param ranked every battery of its voltage, the one to be taken first
 * @param otherVolts codes of those of another voltage, by that
 * @param made changes of late
 * @param underWay the change that somebody is at
 * @param held which batteries it has had, the newest first
 */
record ChangeView(
        Machine machine,
        @Nullable Battery inIt,
        List<Ranked> ranked,
        Map<Integer, List<String>> otherVolts,
        List<ChangesMade.Made> made,
        @Nullable Job underWay,
        List<Held> held) {
    public @Nullable Ranked first() {
        return Choosing.first(ranked).orElse(null);
    }

    public List<Ranked> may() {
        return ranked.stream().filter(Ranked::may).toList();
    }

    public List<Ranked> mayNot() {
        return ranked.stream()
                .filter(r -> !r.may() && r.pooled().inMachine() == null)
                .toList();
    }

    public List<Ranked> inOthers() {
        return ranked.stream().filter(r -> r.pooled().inMachine() != null).toList();
    }

    /** @return minutes that a change takes here; null with too few made */
    public @Nullable Integer usual() {
        return ChangesMade.usualMinutes(made).orElse(null);
    }
}
