package org.ostendum.planner;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.NullUnmarked;

/** The shifts of each machine, one after the other. */
@NullUnmarked
final class Machines {
    private final Map<String, WorkAndCharge> byKey = new HashMap<>();
    private final Map<String, WorkAndCharge> after = new HashMap<>();

    Machines(List<WorkAndCharge> works) {
        for (WorkAndCharge work : works) {
            byKey.put(work.getKey(), work);
            if (work.before != null) {
                after.put(work.before, work);
            }
        }
    }

    /** @return null for the first */
    WorkAndCharge before(WorkAndCharge work) {
        return byKey.get(work.before);
    }

    /** @return null for the last */
    WorkAndCharge after(WorkAndCharge work) {
        return after.get(work.getKey());
    }
}
