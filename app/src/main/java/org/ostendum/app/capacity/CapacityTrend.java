package org.ostendum.app.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.capacity.TestSheet;

/**
 * The course of a battery's capacity over its tests, ready to be put into SVG of 600 by 150.
 *
 * @param limitY where 80 % lies
 * @param line through the tests, oldest first
 */
public record CapacityTrend(double limitY, String line, List<Dot> dots) {
    private static final double WIDTH = 600;
    private static final double HEIGHT = 150;
    private static final double EDGE = 30;
    private static final double LEAST = 0.4;
    private static final double MOST = 1.2;

    /** One test. */
    public record Dot(double x, double y, Instant at, long percent, boolean serviceable) {}

    /** @return empty for fewer than two tests that came to an end */
    static Optional<CapacityTrend> of(List<CapacityTest> tests) {
        List<CapacityTest> done = tests.stream()
                .filter(test -> test.part() != null)
                .sorted(Comparator.comparing(test -> test.begun().at()))
                .toList();
        if (done.size() < 2) {
            return Optional.empty();
        }
        Instant first = done.get(0).begun().at();
        double whole = Math.max(
                1,
                Duration.between(first, done.get(done.size() - 1).begun().at()).toSeconds());
        List<Dot> dots = done.stream()
                .map(test ->
                        dot(test, Duration.between(first, test.begun().at()).toSeconds() / whole))
                .toList();
        StringBuilder line = new StringBuilder();
        dots.forEach(dot -> line.append(dot.x()).append(',').append(dot.y()).append(' '));
        return Optional.of(
                new CapacityTrend(y(TestSheet.PASSES_FROM), line.toString().strip(), dots));
    }

    private static Dot dot(CapacityTest test, double along) {
        double part = test.part() == null ? 0 : test.part();
        double x = Math.round(EDGE + along * (WIDTH - 2 * EDGE));
        return new Dot(x, y(part), test.begun().at(), Math.round(part * 100), test.isServiceable());
    }

    private static double y(double part) {
        double up = (Math.max(LEAST, Math.min(MOST, part)) - LEAST) / (MOST - LEAST);
        return Math.round(HEIGHT - 20 - up * (HEIGHT - 40));
    }
}
