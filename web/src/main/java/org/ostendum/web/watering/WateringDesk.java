package org.ostendum.web.watering;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.measure.EventLog;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.water.WaterForecast;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.Rulebook;
import org.springframework.stereotype.Service;

/** Works out for each battery when it wants water, whether it may have it now, and how much it will take. */
@Service
class WateringDesk {
    private static final Duration LEARNED_FROM = Duration.ofDays(200);

    private final Batteries batteries;
    private final Bench bench;
    private final Ledger ledger;
    private final ZoneId zone;

    WateringDesk(Batteries batteries, Bench bench, Ledger ledger, ZoneId zone) {
        this.batteries = batteries;
        this.bench = bench;
        this.ledger = ledger;
        this.zone = zone;
    }

    /**
     * A battery on the walk.
     *
     * @param full whether a finished charge has followed its last work: only then it may be filled to the mark
     * @param next day on which its reserve is down to the low mark; by the Rulebook's interval where it
     *     has no record, and never later than twice that
     * @param learned whether that day comes from its own record
     * @param expected ml it will take now; null where it has no record
     */
    record Stop(
            Battery battery,
            boolean full,
            @Nullable Instant last,
            LocalDate next,
            boolean learned,
            @Nullable Integer expected,
            long daysLeft) {
        public boolean isDue() {
            return daysLeft <= 0;
        }
    }

    /** @return batteries with caps, those due first; what is due and full can be watered now */
    List<Stop> walk() {
        List<Battery> all = batteries.all().stream()
                .filter(battery -> battery.type().model().kind().hasCaps())
                .toList();
        Rulebook book = bench.rulebook();
        Map<Long, BatteryState> states = bench.statesOf(all, book);
        Instant now = bench.instant();
        Map<Long, EventLog> waterings = ledger.waterings(now.minus(LEARNED_FROM));
        return all.stream()
                .map(battery -> stop(
                        battery,
                        waterings.getOrDefault(battery.id(), EventLog.NONE),
                        Objects.requireNonNull(states.get(battery.id())),
                        book.rulesFor(battery.type().id()),
                        now))
                .sorted(Comparator.comparing(Stop::daysLeft)
                        .thenComparing(s -> s.battery().code()))
                .toList();
    }

    private Stop stop(Battery battery, EventLog waterings, BatteryState state, Rules rules, Instant now) {
        BatteryModel model = battery.type().model();
        @Nullable Instant last = state.happenings().water();
        Optional<WaterForecast> forecast = WaterForecast.of(
                waterings,
                now,
                WaterForecast.reserve(model.cells(), model.capacity().ampHours()));
        Instant byRule = (last == null ? now : last).plus(rules.duration(RuleKey.waterInterval(model.duty())));
        LocalDate next = LocalDate.ofInstant(forecast.map(WaterForecast::nextAt).orElse(byRule), zone);
        @Nullable
        Integer expected = last == null
                ? null
                : forecast.map(f -> (int) Math.round(f.expected(Duration.between(last, now)) / 10) * 10)
                        .orElse(null);
        return new Stop(
                battery,
                state.happenings().isFull(),
                last,
                next,
                forecast.isPresent(),
                expected,
                ChronoUnit.DAYS.between(LocalDate.ofInstant(now, zone), next));
    }
}
