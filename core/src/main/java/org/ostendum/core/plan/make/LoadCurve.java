package org.ostendum.core.plan.make;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** A sum over time that may not exceed a limit, by the minute: what touches a minute counts for all of it. */
final class LoadCurve {
    private static final double ROUNDING = 1e-6;

    private final double most;
    private double[] minutes;

    /** @param most of it at any moment; null for no limit */
    LoadCurve(@Nullable Double most, int minutes) {
        this.most = most == null ? Double.POSITIVE_INFINITY : most;
        this.minutes = new double[Math.max(1, minutes)];
    }

    void add(long from, long until, double much) {
        int last = last(until);
        if (last >= minutes.length) {
            minutes = Arrays.copyOf(minutes, last + 1440);
        }
        for (int minute = first(from); minute <= last; minute++) {
            minutes[minute] += much;
        }
    }

    /** @return seconds at which the last minute ends that has no room for so much more; -1 where all have */
    long fullUntil(long from, long until, double much) {
        if (much > most + ROUNDING) {
            return Long.MAX_VALUE;
        }
        if (most == Double.POSITIVE_INFINITY) {
            return -1;
        }
        for (int minute = Math.min(last(until), minutes.length - 1); minute >= first(from); minute--) {
            if (minutes[minute] + much > most + ROUNDING) {
                return 60L * (minute + 1);
            }
        }
        return -1;
    }

    private static int first(long from) {
        return (int) Math.max(0, from / 60);
    }

    private static int last(long until) {
        return (int) ((Math.max(1, until) - 1) / 60);
    }
}
