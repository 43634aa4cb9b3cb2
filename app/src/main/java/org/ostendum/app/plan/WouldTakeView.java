package org.ostendum.app.plan;

import java.util.List;
import org.ostendum.core.plan.need.Pool;
import org.ostendum.core.plan.need.WouldTake;

/**
 * What the page of what it would take shows.
 *
 * @param busy whether others ask it just now, so that nothing could be worked out
 * @param pools of batteries that can stand for one another; none where nothing was worked out
 * @param chosen the place of one of them
 * @param many batteries of it
 * @param lines of it, as it is first
 */
record WouldTakeView(boolean busy, List<Pool> pools, int chosen, int many, List<WouldTake.Line> lines) {
    static final WouldTakeView BUSY = new WouldTakeView(true, List.of(), 0, 0, List.of());
    static final WouldTakeView NONE = new WouldTakeView(false, List.of(), 0, 0, List.of());
}
