package org.ostendum.app.procedure;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;

/** On which page a next thing is done. */
public final class DoneAt {
    private DoneAt() {}

    /** @return its page; null where nothing here does it */
    public static @Nullable String page(NextThing thing) {
        String procedure = thing.procedure();
        if (procedure == null) {
            return thing.step() == NextStep.RIGHT_DEFECT ? "/jobs" : null;
        }
        String at = "/batteries/" + thing.battery();
        return switch (procedure) {
            case "round", "volts", "hydrometer", "capacity", "complaint" -> at + "/" + procedure;
            default -> at + "/jobs/" + procedure;
        };
    }

    /** @return its page, or that of its battery where nothing here does it */
    public static String pageOrBattery(NextThing thing) {
        String page = page(thing);
        return page == null ? "/batteries/" + thing.battery() : page;
    }
}
