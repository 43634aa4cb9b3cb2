package org.ostendum.app.hydrometer;

import jakarta.validation.constraints.PastOrPresent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.app.state.HydrometerComparison;

/**
 * What comparing a hydrometer showed, as typed.
 *
 * @param points by which it reads otherwise than the second one; asked only where it does
 * @param since the first day on which it was read so; asked only where it reads otherwise
 * @param note which one it is, and where
 */
record HydrometerForm(
        @Needed(message = Needed.CHOICE) @Nullable Result result,
        @Within(min = "1", max = "60") @Nullable Integer points,
        @PastOrPresent(message = "{fault.date.future}") @Nullable LocalDate since,
        @Text(max = 200) @Nullable String note) {

    /** Beside the second one. */
    enum Result {
        RIGHT,
        LOW,
        HIGH
    }

    boolean isRight() {
        return result == Result.RIGHT;
    }

    /** @return points to be added to what was read with it */
    int added() {
        int by = Objects.requireNonNull(points);
        return result == Result.LOW ? by : -by;
    }

    HydrometerComparison off(ZoneId zone) {
        return new HydrometerComparison(begin(zone), added(), noted());
    }

    HydrometerComparison right(Instant readSince) {
        return new HydrometerComparison(readSince, 0, noted());
    }

    Instant begin(ZoneId zone) {
        return Objects.requireNonNull(since).atStartOfDay(zone).toInstant();
    }

    private String noted() {
        return note == null ? "" : note.strip();
    }
}
