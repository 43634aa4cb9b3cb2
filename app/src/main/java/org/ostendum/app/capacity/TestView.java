package org.ostendum.app.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.DischargeCurve;
import org.ostendum.app.draw.DischargePlotter;
import org.ostendum.core.capacity.CutOffForecast.Ends;
import org.ostendum.core.capacity.TestCourse;
import org.ostendum.core.capacity.TestResult;
import org.ostendum.core.capacity.TestRow;

/**
 * One test as its page shows it.
 *
 * @param ends of the battery; null with too few readings, and when it is over
 * @param worst of the lead that falls first, likewise
 * @param over when the test will be, by whichever comes first
 */
public record TestView(
        CapacityTest test,
        TestCourse course,
        DischargeCurve curve,
        @Nullable Ends ends,
        @Nullable Ends worst,
        @Nullable Ends over) {
    static TestView of(CapacityTest test, TestCourse course) {
        Optional<Ends> ends = test.isOpen() ? course.ends() : Optional.empty();
        Optional<Ends> worst = test.isOpen() ? course.worstLead().flatMap(course::ends) : Optional.empty();
        Optional<Ends> over = test.isOpen() ? course.over() : Optional.empty();
        return new TestView(
                test,
                course,
                DischargePlotter.plot(course, ends.orElse(null)),
                ends.orElse(null),
                worst.orElse(null),
                over.orElse(null));
    }

    public @Nullable TestResult result() {
        return test.isOpen() ? null : course.result().orElse(null);
    }

    public @Nullable TestRow last() {
        return course.last().orElse(null);
    }

    /** @return the lead that falls first, from 1; null for none read */
    public @Nullable Integer worstLead() {
        return course.worstLead().orElse(null);
    }

    /** @return when so many hours under load are over, if it goes on without a break */
    public Instant at(double hours) {
        return test.begun().at().plusSeconds(Math.round(hours * 3600));
    }

    public Instant nextReading() {
        return test.begun().at().plus(course.nextReading());
    }

    public Duration left(Instant now, double hours) {
        Duration left = Duration.between(now, at(hours));
        return left.isNegative() ? Duration.ZERO : left;
    }
}
