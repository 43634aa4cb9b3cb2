package org.ostendum.core.capacity;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.capacity.CutOffForecast.Before;
import org.ostendum.core.capacity.CutOffForecast.Ends;
import org.ostendum.core.capacity.CutOffForecast.Point;

/** A test as far as it has been read: what flowed, where it stands, when it will end, and whether it has to be stopped. */
public final class TestCourse {
    /** Of two readings taken closer together than this nothing can be foretold. */
    private static final Duration LEAST_APART = Duration.ofMinutes(1);

    /** Readings over the length of a test where nothing presses, and where the end is near. */
    private static final int USUAL = 12;

    private static final int CLOSE = 40;
    private static final double NEAR_END = 0.8;

    private static final double LEAD_SPREAD = 0.1;

    private final TestSheet sheet;
    private final List<TestRow> rows;
    private final Before before;

    /**
     * @param rows in the order of time
     * @param last part of the rating that the last test gave; null for none on record
     */
    public TestCourse(TestSheet sheet, List<TestRow> rows, @Nullable Double last) {
        this.sheet = sheet;
        this.rows = List.copyOf(rows);
        double hours = sheet.lasts().toSeconds() / 3600.0;
        this.before = last == null
                ? new Before(hours * 0.95, hours, 0.25)
                : new Before(hours * Math.max(0.3, Math.min(1.3, last * 0.98)), hours, 0.08);
    }

    /** Why the load has to come off. */
    public enum Stop {
        /** The battery has reached its cut-off: the test is done. */
        CUT_OFF,
        /** A cell is about to reverse, or has: the test is done, and the cell is what it found. */
        CELL
    }

    public TestSheet sheet() {
        return sheet;
    }

    public List<TestRow> rows() {
        return rows;
    }

    public Optional<TestRow> last() {
        return rows.isEmpty() ? Optional.empty() : Optional.of(rows.get(rows.size() - 1));
    }

    /** @return Ah taken out, by the current read between one row and the next */
    public double ampHours() {
        double sum = 0;
        double at = 0;
        for (TestRow row : rows) {
            sum += row.amperes() * (row.hours() - at);
            at = row.hours();
        }
        return sum;
    }

    /**
     * @return when the next reading is due: a twelfth of the time after the last, a fortieth where the end is near; minutes after the
     *     start the first one
     */
    public Duration nextReading() {
        TestRow last = last().orElse(null);
        if (last == null) {
            return sheet.lasts().dividedBy(CLOSE);
        }
        double soon = ends().map(Ends::early).orElse(before.hours()) * NEAR_END;
        return last.elapsed().plus(sheet.lasts().dividedBy(last.hours() < soon ? USUAL : CLOSE));
    }

    /** @return why the load has to come off by the newest row; empty while it may go on */
    public Optional<Stop> stop() {
        return last().flatMap(row -> row.leads().stream().anyMatch(v -> v <= sheet.leadLimit())
                ? Optional.of(Stop.CELL)
                : row.volts() <= sheet.cutOff() ? Optional.of(Stop.CUT_OFF) : Optional.empty());
    }

    /** @return the lead with the lowest voltage in the newest row that has them, from 1; empty for none read */
    public Optional<Integer> worstLead() {
        return withLeads().reduce((a, b) -> b).map(row -> 1 + lowest(row.leads()));
    }

    private Stream<TestRow> withLeads() {
        return rows.stream().filter(row -> !row.leads().isEmpty());
    }

    private static int lowest(List<Double> volts) {
        int at = 0;
        for (int i = 1; i < volts.size(); i++) {
            at = volts.get(i) < volts.get(at) ? i : at;
        }
        return at;
    }

    /** @return hours under load at which the battery reaches its cut-off; empty with fewer than two readings */
    public Optional<Ends> ends() {
        List<Point> points = new ArrayList<>();
        rows.forEach(row -> points.add(new Point(row.hours(), row.volts() / sheet.cells())));
        return ends(points, before);
    }

    /**
     * @param lead from 1
     * @return hours at which its cells stand at the cut-off; empty with fewer than two readings of it
     */
    public Optional<Ends> ends(int lead) {
        List<Point> points = new ArrayList<>();
        withLeads()
                .filter(row -> row.leads().size() >= lead)
                .forEach(row -> points.add(new Point(row.hours(), row.leads().get(lead - 1) / sheet.cellsPerLead())));
        return ends(points, new Before(before.hours(), before.rated(), Math.max(before.spread(), LEAD_SPREAD)));
    }

    private Optional<Ends> ends(List<Point> points, Before likely) {
        boolean enough = points.size() >= 2
                && (points.get(points.size() - 1).hours() - points.get(0).hours()) * 60 >= LEAST_APART.toMinutes();
        return enough ? Optional.of(CutOffForecast.of(points, sheet.cutOffPerCell(), likely)) : Optional.empty();
    }

    /** @return what it has come to: up to the moment at which the cut-off was crossed between two rows, or the last row */
    public Optional<TestResult> result() {
        if (rows.isEmpty() || ampHours() <= 0) {
            return Optional.empty();
        }
        TestRow end = rows.get(rows.size() - 1);
        double hours = end.hours();
        double ampHours = ampHours();
        if (rows.size() > 1 && end.volts() < sheet.cutOff()) {
            TestRow above = rows.get(rows.size() - 2);
            double part = (above.volts() - sheet.cutOff()) / Math.max(1e-9, above.volts() - end.volts());
            double over = (1 - Math.max(0, Math.min(1, part))) * (end.hours() - above.hours());
            hours -= over;
            ampHours -= over * end.amperes();
        }
        Duration lasted = Duration.ofSeconds(Math.round(hours * 3600));
        return Optional.of(TestResult.of(sheet, lasted, Math.max(0, ampHours)));
    }
}
