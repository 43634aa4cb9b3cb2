package org.ostendum.planner;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.NullUnmarked;

/** The shifts of each machine, one after the other. */
@NullUnmarked
final class Machines {
    private final WorkAndCharge[] before;
    private final WorkAndCharge[] after;

    /** @param works all that are planned, in their order */
    Machines(List<WorkAndCharge> works) {
        Map<String, WorkAndCharge> byKey = new HashMap<>();
        works.forEach(work -> byKey.put(work.getKey(), work));
        before = new WorkAndCharge[works.size()];
        after = new WorkAndCharge[works.size()];
        for (WorkAndCharge work : works) {
            WorkAndCharge last = byKey.get(work.before);
            before[work.order] = last;
            if (last != null) {
                after[last.order] = work;
            }
        }
    }

    /** @return null for the first */
    WorkAndCharge before(WorkAndCharge work) {
        return before[work.order];
    }

    /** @return null for the last */
    WorkAndCharge after(WorkAndCharge work) {
        return after[work.order];
    }
}
