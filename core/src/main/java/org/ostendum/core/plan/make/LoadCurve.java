package org.ostendum.core.plan.make;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** A sum over time that may not exceed a limit, by the minute: what touches a minute counts for all of it. */
final class LoadCurve {
    private static final double ROUNDING = 1e-6;
    private static final int HOUR = 60;
    private static final int A_DAY = 1440;

    private final double most;
    private double[] minutes;

    /** The most of each hour: one that has room need not be gone through by the minute. */
    private double[] hours;

    /** @param most of it at any moment; null for no limit */
    LoadCurve(@Nullable Double most, int minutes) {
        this.most = most == null ? Double.POSITIVE_INFINITY : most;
        this.minutes = new double[Math.max(1, minutes)];
        this.hours = new double[this.minutes.length / HOUR + 1];
    }

    void add(long from, long until, double much) {
        int last = last(until);
        if (last >= minutes.length) {
            minutes = Arrays.copyOf(minutes, last + A_DAY);
            hours = Arrays.copyOf(hours, minutes.length / HOUR + 1);
        }
        for (int minute = first(from); minute <= last; minute++) {
            minutes[minute] += much;
        }
        for (int hour = first(from) / HOUR; hour <= last / HOUR; hour++) {
            hours[hour] = mostOf(hour);
        }
    }

    private double mostOf(int hour) {
        double found = 0;
        for (int minute = HOUR * hour; minute < Math.min(minutes.length, HOUR * (hour + 1)); minute++) {
            found = Math.max(found, minutes[minute]);
        }
        return found;
    }

    /** @return seconds at which the last minute ends that has no room for so much more; -1 where all have */
    long fullUntil(long from, long until, double much) {
        if (much > most + ROUNDING) {
            return Long.MAX_VALUE;
        }
        if (most == Double.POSITIVE_INFINITY) {
            return -1;
        }
        int minute = Math.min(last(until), minutes.length - 1);
        while (minute >= first(from)) {
            if (hours[minute / HOUR] + much <= most + ROUNDING) {
                minute = HOUR * (minute / HOUR) - 1;
            } else if (minutes[minute] + much > most + ROUNDING) {
                return 60L * (minute + 1);
            } else {
                minute--;
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
