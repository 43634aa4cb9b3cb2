package org.ostendum.app.several;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.begin.ChargesAtOnce.Ready;
import org.ostendum.core.judge.Message;

/**
 * The row that somebody walks along.
 *
 * @param find what was asked for; empty for everything
 * @param picked codes that were tapped before something was refused
 * @param refused what could not be done, battery by battery
 * @param enough whether a look at each is enough by the site's procedure
 * @param looks what is looked at on each one
 * @param open may be plugged in and is not full
 * @param full may be plugged in, though it is full
 * @param shut may not be plugged in, with why
 * @param more idle ones that are not shown
 * @param running those to be unplugged at once first
 */
record SeveralView(
        String find,
        Set<String> picked,
        List<String> refused,
        boolean enough,
        List<String> looks,
        List<Ready> open,
        List<Ready> full,
        List<Ready> shut,
        int more,
        List<Charging> running) {
    /**
     * A battery on charge.
     *
     * @param endNow why its charge has to be ended at once; null where it may run on
     * @param full whether evidence shows by now that it is
     */
    record Charging(Battery battery, @Nullable Message endNow, boolean full) {}
}
