package org.ostendum.app.support;

import java.lang.management.ManagementFactory;
import java.lang.management.OperatingSystemMXBean;
import java.time.Duration;
import java.time.Instant;

/** How long a test waits at most for what it wants to see: longer on a busy machine, which then only takes longer. */
public final class Patience {
    private static final OperatingSystemMXBean MACHINE = ManagementFactory.getOperatingSystemMXBean();
    private static final double MOST = 8;

    private Patience() {}

    /** @param usual on a quiet machine, with room to spare */
    public static Duration of(Duration usual) {
        return Duration.ofMillis(Math.round(usual.toMillis() * factor()));
    }

    /** @return when to give up */
    public static Instant end(Duration usual) {
        return Instant.now().plus(of(usual));
    }

    /** @return processes that want to run for each processor; 1 on a quiet machine */
    private static double factor() {
        double waiting = MACHINE.getSystemLoadAverage() / MACHINE.getAvailableProcessors();
        return Math.max(1, Math.min(MOST, waiting));
    }
}
