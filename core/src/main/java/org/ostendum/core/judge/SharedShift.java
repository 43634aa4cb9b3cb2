package org.ostendum.core.judge;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.statistics.Robust;

/**
 * The batteries of a room have come to read lower, or higher, together since one day. A hydrometer that was changed or is dirty, or
 * somebody who reads it otherwise, is likelier than a fault in each of them; from the records of one battery it cannot be told.
 * Limits are rules of thumb, tried on simulated rooms ({@code SharedShiftOfRoomsTest}).
 *
 * @param since the beginning, in UTC, of the day of the first round that was read so
 * @param by how much higher they read since then; negative for lower
 * @param batteries that have moved by about so much
 * @param of so many that were read before and since
 */
public record SharedShift(Instant since, GravityDifference by, int batteries, int of) {
    /** What a hydrometer that reads low would make one say of a sound battery. */
    private static final Set<FindingCode> SAID_OF_LOW_READINGS =
            EnumSet.of(FindingCode.BATTERY_UNDERCHARGED, FindingCode.BATTERY_STRATIFIED, FindingCode.BATTERY_SULFATED);

    /** Fewer may each have their own reason. */
    private static final int LEAST_BATTERIES = 4;

    /** So large a part of them moves alike. */
    private static final double NEARLY_ALL = 0.75;

    /** Tenths of a point; the water in the cells and the season move many batteries by less. */
    private static final double TOLD_FROM = 60;

    private static final double ALIKE_WITHIN = 45;
    private static final int ROUNDS_BEFORE = 3;
    private static final Duration LOOKED_BACK = Duration.ofDays(120);
    private static final long SECONDS_A_DAY = 86_400;

    /**
     * @param courses of the batteries of one room
     * @param compared since when its rounds are known to be read rightly: none of before is compared with them
     */
    public static Optional<SharedShift> of(Collection<BatteryCourse> courses, Instant compared, Instant now) {
        Instant from = now.minus(LOOKED_BACK);
        List<Course> all = courses.stream()
                .map(course -> Course.lately(course, from).since(compared))
                .toList();
        return all.stream()
                .flatMap(course -> course.marks.stream())
                .map(BatteryCourse.Mark::takenAt)
                .filter(at -> at.isAfter(from) && !at.isAfter(now))
                .map(at -> at.getEpochSecond() / SECONDS_A_DAY)
                .distinct()
                .flatMap(day -> at(Instant.ofEpochSecond(day * SECONDS_A_DAY), all).stream())
                .max(Comparator.comparingInt(SharedShift::weight).thenComparing(SharedShift::since));
    }

    private int weight() {
        return batteries * Math.abs(by.tenths());
    }

    /** @return whole points, whichever way */
    public long points() {
        return Math.round(Math.abs(by.tenths()) / 10.0);
    }

    public boolean isLower() {
        return by.tenths() < 0;
    }

    /**
     * @param said of the battery
     * @param found when the battery was first said to have it
     * @param course of the battery
     * @return whether it explains that better than a fault of the battery’s own
     */
    public boolean explains(FindingCode said, Instant found, BatteryCourse course) {
        return isLower() && SAID_OF_LOW_READINGS.contains(said) && !found.isBefore(since) && !hasMovedOtherwise(course);
    }

    /** One of which too few rounds compare, such as of single cells, was read with the same hydrometer all the same. */
    private boolean hasMovedOtherwise(BatteryCourse course) {
        OptionalDouble own = Course.lately(course, since).movedAt(since);
        return own.isPresent() && !isAlike(own.getAsDouble(), by.tenths());
    }

    private static Optional<SharedShift> at(Instant since, List<Course> courses) {
        double[] moved = courses.stream()
                .map(course -> course.movedAt(since))
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
        if (moved.length < LEAST_BATTERIES) {
            return Optional.empty();
        }
        double by = Robust.median(moved);
        int alike = (int) Arrays.stream(moved).filter(own -> isAlike(own, by)).count();
        return Math.abs(by) >= TOLD_FROM && alike >= LEAST_BATTERIES && alike >= NEARLY_ALL * moved.length
                ? Optional.of(new SharedShift(since, new GravityDifference((int) Math.round(by)), alike, moved.length))
                : Optional.empty();
    }

    private static boolean isAlike(double own, double all) {
        return Math.abs(own - all) <= ALIKE_WITHIN;
    }

    /** The medians of one battery, with their sums so that any two stretches compare in two steps. */
    private static final class Course {
        private final List<BatteryCourse.Mark> marks;
        private final double[] sums;

        /** Of years of rounds, those that are compared: since a time, and the last ones before it. */
        static Course lately(BatteryCourse course, Instant from) {
            List<BatteryCourse.Mark> marks = course.marks();
            int first = marks.size();
            while (first > 0 && !marks.get(first - 1).takenAt().isBefore(from)) {
                first--;
            }
            return new Course(marks.subList(Math.max(0, first - ROUNDS_BEFORE), marks.size()));
        }

        Course since(Instant from) {
            return new Course(marks.stream()
                    .filter(mark -> !mark.takenAt().isBefore(from))
                    .toList());
        }

        private Course(List<BatteryCourse.Mark> marks) {
            this.marks = marks;
            this.sums = new double[marks.size() + 1];
            for (int i = 0; i < marks.size(); i++) {
                sums[i + 1] = sums[i] + marks.get(i).median().tenths();
            }
        }

        /** @return tenths it reads higher since then than in its last rounds before; empty without enough of both */
        OptionalDouble movedAt(Instant since) {
            int first = marks.size();
            while (first > 0 && !marks.get(first - 1).takenAt().isBefore(since)) {
                first--;
            }
            return first < ROUNDS_BEFORE || first == marks.size()
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(mean(first, marks.size()) - mean(first - ROUNDS_BEFORE, first));
        }

        private double mean(int from, int to) {
            return (sums[to] - sums[from]) / (to - from);
        }
    }
}
