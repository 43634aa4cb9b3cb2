package org.ostendum.core.capacity;

import java.time.Duration;
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

    /** Of the rating, before anything is known of the one battery. */
    private static final double USUAL_PART = 0.95;

    private static final double RATING_SPREAD = 0.25;

    private final TestSheet sheet;
    private final List<TestRow> rows;
    private final @Nullable EarlierTest earlier;
    private final Before before;

    /**
     * @param rows in the order of time
     * @param earlier the last test; null for none on record
     */
    public TestCourse(TestSheet sheet, List<TestRow> rows, @Nullable EarlierTest earlier) {
        this.sheet = sheet;
        this.rows = List.copyOf(rows);
        this.earlier = earlier;
        this.before = earlier == null ? byRating(sheet) : earlier.tells(sheet);
    }

    private static Before byRating(TestSheet sheet) {
        double hours = sheet.hours();
        return new Before(hours * USUAL_PART, hours, RATING_SPREAD, FallShape.USUAL);
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
        double soon = over().map(Ends::early).orElse(before.hours()) * NEAR_END;
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
        return ends(points(), CutOffForecast.BATTERY_ERROR, before);
    }

    /**
     * @param lead from 1
     * @return hours at which its cells stand at the cut-off; empty with fewer than two readings of it
     */
    public Optional<Ends> ends(int lead) {
        return ends(points(lead), CutOffForecast.LEAD_ERROR, before(lead));
    }

    /** @return hours at which the test is over: by the battery's cut-off, or sooner by the lead that stands lowest */
    public Optional<Ends> over() {
        Optional<Ends> lowest = worstLead().flatMap(this::ends);
        return ends().map(ends -> lowest.map(ends::orSooner).orElse(ends));
    }

    private Before before(int lead) {
        return earlier == null
                ? new Before(before.hours(), before.rated(), before.spread(), FallShape.USUAL)
                : earlier.tells(sheet, lead);
    }

    /** @return volts for each cell of the battery as a whole */
    List<Point> points() {
        return rows.stream()
                .map(row -> new Point(row.hours(), row.volts() / sheet.cells()))
                .toList();
    }

    /** @return volts for each cell between the two clips of one lead, from 1 */
    List<Point> points(int lead) {
        return withLeads()
                .filter(row -> row.leads().size() >= lead)
                .map(row -> new Point(row.hours(), row.leads().get(lead - 1) / sheet.cellsPerLead()))
                .toList();
    }

    private Optional<Ends> ends(List<Point> points, double error, Before likely) {
        boolean enough = points.size() >= 2
                && (points.get(points.size() - 1).hours() - points.get(0).hours()) * 60 >= LEAST_APART.toMinutes();
        return enough ? Optional.of(CutOffForecast.of(points, sheet.cutOffPerCell(), error, likely)) : Optional.empty();
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
