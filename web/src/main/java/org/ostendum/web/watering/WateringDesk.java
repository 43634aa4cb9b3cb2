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
import org.ostendum.core.device.CartStatus;
import org.ostendum.core.measure.BatteryEvent;
import org.ostendum.core.measure.EventLog;
import org.ostendum.core.measure.EventType;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.water.CellWater;
import org.ostendum.core.water.WaterForecast;
import org.ostendum.core.water.WaterQuality;
import org.ostendum.web.devices.Hearings;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.ClosedRound;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.Rooms;
import org.ostendum.web.store.Rounds;
import org.ostendum.web.store.Rulebook;
import org.ostendum.web.store.WaterAnalyses;
import org.springframework.stereotype.Service;

/** Works out for each battery when it wants water, whether it may have it now, and how much it will take. */
@Service
class WateringDesk {
    private static final Duration LEARNED_FROM = Duration.ofDays(200);

    private final Batteries batteries;
    private final Bench bench;
    private final Ledger ledger;
    private final Rounds rounds;
    private final Rooms rooms;
    private final WaterAnalyses analyses;
    private final Hearings hearings;
    private final ZoneId zone;

    WateringDesk(
            Batteries batteries,
            Bench bench,
            Ledger ledger,
            Rounds rounds,
            Rooms rooms,
            WaterAnalyses analyses,
            Hearings hearings,
            ZoneId zone) {
        this.batteries = batteries;
        this.bench = bench;
        this.ledger = ledger;
        this.rounds = rounds;
        this.rooms = rooms;
        this.analyses = analyses;
        this.hearings = hearings;
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
     * @param cells ml by cell, where levels were read since the last water
     */
    record Stop(
            Battery battery,
            boolean full,
            @Nullable Instant last,
            LocalDate next,
            boolean learned,
            @Nullable Integer expected,
            Map<Integer, Integer> cells,
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
                cells(battery, last, state.roundTakenAt()),
                ChronoUnit.DAYS.between(LocalDate.ofInstant(now, zone), next));
    }

    /** Only where somebody has looked since the last water. */
    private Map<Integer, Integer> cells(Battery battery, @Nullable Instant watered, @Nullable Instant read) {
        if (read == null || (watered != null && !read.isAfter(watered))) {
            return Map.of();
        }
        List<ClosedRound> newest = rounds.history(battery.id(), 1);
        return newest.isEmpty()
                ? Map.of()
                : CellWater.toMark(
                        newest.get(0).past().round(),
                        battery.type().model().capacity().ampHours());
    }

    /** What was poured over a time, and what it cost. */
    record Total(double litres, double cost) {}

    Total total(Duration back) {
        Instant now = bench.instant();
        double millilitres = ledger.waterings(now.minus(back)).values().stream()
                .flatMap(log -> log.between(EventType.WATER, Instant.MIN, now).stream())
                .mapToDouble(BatteryEvent::quantity)
                .sum();
        double price = bench.rulesFor(null).value(RuleKey.WATER_PRICE).doubleValue();
        return new Total(millilitres / 1000, millilitres / 1000 * price / 100);
    }

    WaterQuality quality() {
        return WaterQuality.of(analyses.newest().orElse(null), bench.instant(), bench.rulesFor(null));
    }

    /** @return ml that the house's carts have poured by their meters; empty where none is heard */
    Optional<Long> metered() {
        List<Long> meters = rooms.names().stream()
                .flatMap(room -> hearings.cart(room.id()).stream())
                .map(CartStatus::millilitres)
                .toList();
        return meters.stream().reduce(Long::sum);
    }
}
