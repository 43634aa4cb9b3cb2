package org.ostendum.app.support;

import java.lang.management.ManagementFactory;
import java.lang.management.OperatingSystemMXBean;
import java.time.Duration;
import org.awaitility.Awaitility;
import org.awaitility.core.ConditionFactory;

/** How long a test waits at most for what it wants to see: longer on a busy machine, which then only takes longer. */
public final class Patience {
    private static final OperatingSystemMXBean MACHINE = ManagementFactory.getOperatingSystemMXBean();
    private static final double MOST = 8;
    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(100);

    private Patience() {}

    /** @param usual on a quiet machine, with room to spare */
    public static Duration of(Duration usual) {
        return Duration.ofMillis(Math.round(usual.toMillis() * factor()));
    }

    /**
     * Waits in the test's own thread, looking again and again.
     *
     * @param what is waited for, for the message of a wait in vain
     * @param usual on a quiet machine, with room to spare
     */
    public static ConditionFactory await(String what, Duration usual) {
        return Awaitility.await(what)
                .pollInSameThread()
                .pollDelay(Duration.ZERO)
                .pollInterval(BETWEEN_LOOKS)
                .atMost(of(usual));
    }

    /** The same for what a process is to do: one that has ended is not waited for. */
    public static ConditionFactory await(String what, Duration usual, Process process) {
        return await(what, usual).failFast(what + ": the process has ended", () -> !process.isAlive());
    }

    /** @return processes that want to run for each processor; 1 on a quiet machine */
    private static double factor() {
        double waiting = MACHINE.getSystemLoadAverage() / MACHINE.getAvailableProcessors();
        return Math.max(1, Math.min(MOST, waiting));
    }
}
