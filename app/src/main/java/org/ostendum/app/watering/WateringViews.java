package org.ostendum.app.watering;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.device.CartStatus;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.CellWater;
import org.ostendum.core.state.WaterDue;
import org.ostendum.core.water.WaterQuality;
import org.springframework.stereotype.Service;

/** Works out for each battery when it wants water, whether it may have it now, and how much it will take. */
@Service
class WateringViews {
    private static final Duration MONTH = Duration.ofDays(30);
    private static final Duration YEAR = Duration.ofDays(365);

    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final Ledger ledger;
    private final Rooms rooms;
    private final WaterAnalyses analyses;
    private final DeviceStatuses statuses;
    private final ZoneId zone;

    WateringViews(
            Batteries batteries,
            BatteryStates batteryStates,
            Ledger ledger,
            Rooms rooms,
            WaterAnalyses analyses,
            DeviceStatuses statuses,
            ZoneId zone) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.ledger = ledger;
        this.rooms = rooms;
        this.analyses = analyses;
        this.statuses = statuses;
        this.zone = zone;
    }

    /**
     * A battery on the walk.
     *
     * @param full whether it is full and on no charger: only then it may be filled to the mark
     * @param charging whether it is on charge
     * @param next day on which its reserve is down to the low mark
     * @param basis what tells that day; null where nothing is on record
     * @param expected ml it will take now; null where it has no record
     * @param cells ml by cell, where levels are known
     */
    record Stop(
            Battery battery,
            boolean full,
            boolean charging,
            @Nullable Instant last,
            LocalDate next,
            WaterDue.@Nullable Basis basis,
            @Nullable Integer expected,
            Map<Integer, Integer> cells,
            Wants wants,
            long daysLeft) {
        /** What is to be done with it on this walk. */
        enum Wants {
            /** Only just, for its plates show; then it is charged. */
            COVER,
            DRAW_OFF,
            WATER,
            /** It wants water, but is equalised and read first. */
            EQUALISE_FIRST,
            /** It wants water, but readings come first, which water would thin. */
            READ_FIRST,
            /** It wants water, and is on charge: not before it is full. */
            CHARGING,
            /** It wants water, but something has to be put right before it may be charged. */
            RIGHT_FIRST,
            /** It wants water, but is not full. */
            CHARGE_FIRST,
            /** Not yet. */
            NOTHING;

            static Wants of(BatteryState state, Set<NextStep> next) {
                WaterDue due = state.waterDue();
                if (next.contains(NextStep.WATER)) {
                    return WATER;
                } else if (!state.levels().bare().isEmpty()) {
                    return COVER;
                } else if (!state.levels().over().isEmpty()) {
                    return DRAW_OFF;
                } else if (due == null || !due.isDue(state.asOf())) {
                    return NOTHING;
                }
                return before(state, next);
            }

            /** What has to be done before it can be watered. */
            private static Wants before(BatteryState state, Set<NextStep> next) {
                if (state.isCharging()) {
                    return CHARGING;
                } else if (next.contains(NextStep.EQUALISE)) {
                    return EQUALISE_FIRST;
                } else if (state.full().isYes()) {
                    return READ_FIRST;
                }
                return state.isKeptFromCharge() ? RIGHT_FIRST : CHARGE_FIRST;
            }
        }

        /** @return ml where every cell wants the same; null where they do not */
        public @Nullable Integer each() {
            boolean all = cells.size() == battery.type().model().cells();
            return all && Set.copyOf(cells.values()).size() == 1
                    ? cells.values().iterator().next()
                    : null;
        }

        /** Whether its time has come, though something else may have to be done first. */
        public boolean isDue() {
            return wants != Wants.NOTHING && wants != Wants.DRAW_OFF;
        }
    }

    /** @return batteries with caps that have had their first charge, those due first */
    List<Stop> walk() {
        List<Battery> all = batteries.all().stream()
                .filter(battery -> battery.type().model().kind().hasCaps())
                .toList();
        Rulebook book = batteryStates.rulebook();
        Map<Long, BatteryState> states = batteryStates.statesOf(all, book);
        return all.stream()
                .filter(battery -> isWatered(Objects.requireNonNull(states.get(battery.id()))))
                .map(battery -> stop(battery, Objects.requireNonNull(states.get(battery.id()))))
                .sorted(Comparator.comparing(Stop::daysLeft)
                        .thenComparing(s -> s.battery().code()))
                .toList();
    }

    private static boolean isWatered(BatteryState state) {
        return switch (state.stage()) {
            case IN_SERVICE, HELD -> true;
            case STORED -> !state.levels().low().isEmpty();
            case ORDERED, DRY, COMMISSIONING, RETIRED -> false;
        };
    }

    private Stop stop(Battery battery, BatteryState state) {
        Instant now = state.asOf();
        @Nullable Instant last = state.water().watered();
        @Nullable WaterDue due = state.waterDue();
        LocalDate next = LocalDate.ofInstant(due == null ? now : due.at(), zone);
        Map<Integer, Integer> cells = CellWater.toMark(state);
        return new Stop(
                battery,
                state.full().isYes() && !state.isCharging(),
                state.isCharging(),
                last,
                next,
                due == null ? null : due.basis(),
                expected(state, cells),
                cells,
                Stop.Wants.of(state, steps(battery, state)),
                ChronoUnit.DAYS.between(LocalDate.ofInstant(now, zone), next));
    }

    /** What was seen in every cell goes before what it took in the past; null where there is neither. */
    private static @Nullable Integer expected(BatteryState state, Map<Integer, Integer> cells) {
        Instant last = state.water().watered();
        if (cells.size() == state.model().cells()) {
            return cells.values().stream().mapToInt(Integer::intValue).sum();
        } else if (last == null) {
            return null;
        }
        return state.waterForecast()
                .map(f -> (int) Math.round(f.expected(Duration.between(last, state.asOf())) / 10) * 10)
                .orElse(null);
    }

    private static Set<NextStep> steps(Battery battery, BatteryState state) {
        return NextThings.of(battery.code(), state).stream()
                .map(NextThing::step)
                .collect(Collectors.toSet());
    }

    /** What was poured over a time, and what it cost. */
    record Total(double litres, double cost) {}

    /** What was poured over the last times, the longest of which is looked up. */
    record Totals(Total month, Total year) {}

    Totals totals() {
        Instant now = batteryStates.instant();
        Collection<EventLog> poured = ledger.waterings(now.minus(YEAR)).values();
        return new Totals(total(poured, now.minus(MONTH), now), total(poured, now.minus(YEAR), now));
    }

    private Total total(Collection<EventLog> logs, Instant from, Instant now) {
        double millilitres =
                logs.stream().mapToDouble(log -> log.poured(from, now)).sum();
        double price = batteryStates.rulesFor(null).number(RuleKey.WATER_PRICE);
        return new Total(millilitres / 1000, millilitres / 1000 * price / 100);
    }

    WaterQuality quality() {
        return WaterQuality.of(analyses.newest().orElse(null), batteryStates.instant(), batteryStates.rulesFor(null));
    }

    /** @return ml that the site's carts have poured by their meters; empty where none is heard */
    Optional<Long> metered() {
        List<Long> meters = rooms.names().stream()
                .flatMap(room -> statuses.cart(room.id()).stream())
                .map(CartStatus::millilitres)
                .toList();
        return meters.stream().reduce(Long::sum);
    }
}
