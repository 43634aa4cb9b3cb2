package org.ostendum.core.plan.cost;

/** Time cut into the half hours over which meters take their mean. */
public final class HalfHour {
    public static final long SECONDS = 1800;

    private HalfHour() {}

    /** @return the number of the half hour in which a moment lies, 0 for the first */
    public static int of(long seconds) {
        return (int) Math.floorDiv(seconds, SECONDS);
    }

    /** @return the number of the last half hour that a stretch touches */
    public static int last(long until) {
        return of(until - 1);
    }

    /** @return how much of a half hour a stretch takes, 0 to 1 */
    public static double part(int half, long from, long until) {
        long shared = Math.min(until, (half + 1) * SECONDS) - Math.max(from, half * SECONDS);
        return Math.max(0, shared) / (double) SECONDS;
    }
}
