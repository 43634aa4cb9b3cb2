package org.ostendum.app.fleet;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Spark;
import org.ostendum.app.draw.SparkPlotter;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Message;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;

/**
 * A battery with its state and its jobs, most urgent first.
 *
 * @param severity the worst of both: thousands of lines are ordered by it
 */
record FleetLine(Battery battery, BatteryState state, List<NextThing> things, Severity severity, LocalDate today) {
    static FleetLine of(Battery battery, BatteryState state, LocalDate today) {
        List<NextThing> things = NextThings.of(battery.code(), state);
        Severity worst = things.stream().map(NextThing::severity).reduce(state.severity(), Severity::worse);
        return new FleetLine(battery, state, things, worst, today);
    }

    long overdue() {
        return things.isEmpty() ? 0 : things.get(0).overdueDays();
    }

    /** @return what stands against it first, whether its readings tell it or not */
    public Message says() {
        return NextThings.moreUrgent(things, state.verdict())
                .map(NextThing::reason)
                .orElse(state.verdict().sentence());
    }

    public @Nullable Forecast forecast() {
        return state.verdict().firstForecast().orElse(null);
    }

    /** @return days until the first forecast comes true, 0 where what was read of it is past its limit already; null where nothing is forecast */
    public @Nullable Long daysLeft() {
        if (state.verdict().severity() == Severity.STOP) {
            return 0L;
        }
        return days(Optional.ofNullable(forecast()).map(Forecast::crosses));
    }

    /** @return the earliest it may be; null where nothing is forecast */
    public @Nullable Long fewestDays() {
        return days(Optional.ofNullable(forecast()).map(Forecast::early));
    }

    /** @return the latest; null where no day can be named */
    public @Nullable Long mostDays() {
        return days(Optional.ofNullable(forecast()).map(Forecast::late));
    }

    private @Nullable Long days(Optional<LocalDate> day) {
        return day.map(d -> Math.max(0, ChronoUnit.DAYS.between(today, d))).orElse(null);
    }

    public @Nullable Spark spark() {
        return SparkPlotter.plot(state.course(), battery.type().model().marks());
    }
}
