package org.ostendum.app.life;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.capacity.CapacityTests;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.life.LifeForecast;
import org.ostendum.core.life.LifeForecast.Tested;
import org.ostendum.core.life.MoneySums;
import org.ostendum.core.life.Prices;
import org.ostendum.core.life.RepairOrReplace;
import org.ostendum.core.life.Stress;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** What is left of each battery of the site, from what is on record of its use. */
@Service
class Lives {
    /** Use of so long ago says how it is used now. */
    private static final Duration LOOKED_BACK = Duration.ofDays(120);

    private static final double DAYS_A_YEAR = 365.25;
    private static final int USUAL_CYCLES = 1500;
    private static final double ROOM = 25;
    /** The warmest of a charge lies above the mean of the day by about so much. */
    private static final double WARMEST_ABOVE_MEAN = 10;

    private static final double THIRSTY = 0.3;
    private static final double USUAL_DEPTH = 0.5;
    private static final double EFFICIENCY = 0.75;

    private final Batteries batteries;
    private final BatteryStates states;
    private final Ledger ledger;
    private final CapacityTests tests;
    private final ZoneId zone;

    Lives(Batteries batteries, BatteryStates states, Ledger ledger, CapacityTests tests, ZoneId zone) {
        this.batteries = batteries;
        this.states = states;
        this.ledger = ledger;
        this.tests = tests;
        this.zone = zone;
    }

    /**
     * One battery's life.
     *
     * @param years of service so far
     * @param cycles of a life, by its model's price sheet or the usual
     * @param anew of a new one in its place
     * @param prices null where nobody has said what its model costs
     */
    record Life(
            Battery battery,
            double years,
            Stress stress,
            int cycles,
            List<Tested> tests,
            LifeForecast forecast,
            LifeForecast anew,
            @Nullable Prices prices,
            double tariff,
            int badCells) {

        /** @return what a new one costs, less what this one's core brings; 0 where nobody has said */
        double money() {
            return prices == null ? 0 : prices.newBattery() - prices.coreCredit();
        }

        /** @return money for each kWh that it delivers; null where nobody has said what it costs, or it does not work */
        @Nullable
        Double perKilowattHour() {
            double kwh = battery.type().model().capacity().ampHours()
                    * battery.type().model().nominalVolts()
                    * stress.depth()
                    / 1000;
            double lasts = years + forecast.likely();
            int over = (int) Math.max(50, Math.min(5000, stress.cyclesAYear() * lasts));
            return prices == null || kwh < 0.05
                    ? null
                    : (Double) MoneySums.perKilowattHour(money(), over, kwh, tariff, EFFICIENCY, 0);
        }

        /** @return what thirst and short charges have eaten of its price so far */
        double eaten() {
            Stress cared = stress.watered().chargedToTheEnd();
            double part = (stress.partAYear(cycles) - cared.partAYear(cycles)) * years;
            return Math.max(0, Math.min(1, part)) * money();
        }

        Life under(Stress now) {
            LifeForecast other = LifeForecast.of(years, stress.partAYear(cycles), now.partAYear(cycles), tests);
            LifeForecast anewThen = LifeForecast.ofNew(now.partAYear(cycles));
            return new Life(battery, years, stress, cycles, tests, other, anewThen, prices, tariff, badCells);
        }

        /** @return whether its bad cells are worth their repair; null where it has none, or nobody has said what it costs */
        @Nullable
        RepairOrReplace repair() {
            int done = (int) Math.min(5000, stress.cyclesAYear() * years);
            return prices == null || badCells == 0 ? null : RepairOrReplace.of(prices, done, badCells);
        }
    }

    /** @return every battery of the site, the one that goes first first */
    List<Life> all() {
        return of(batteries.all());
    }

    private List<Life> of(List<Battery> asked) {
        Instant now = states.instant();
        Map<Long, BatteryState> all = states.statesOf(asked);
        Map<Long, EventLog> logs =
                ledger.charges(asked.stream().map(Battery::id).toList(), now.minus(LOOKED_BACK));
        List<Life> lives = new ArrayList<>();
        for (Battery battery : asked) {
            BatteryState state = Objects.requireNonNull(all.get(battery.id()));
            lives.add(life(battery, state, logs.getOrDefault(battery.id(), EventLog.NONE), now));
        }
        lives.sort(Comparator.comparing(life -> life.forecast().likely()));
        return lives;
    }

    private Life life(Battery battery, BatteryState state, EventLog log, Instant now) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        double years = Math.max(0, Math.min(40, ChronoUnit.DAYS.between(battery.inServiceOn(), today) / DAYS_A_YEAR));
        Prices prices = battery.type().prices();
        int cycles = prices == null ? USUAL_CYCLES : prices.cycles();
        Stress stress = stress(battery, state, log, now);
        List<Tested> tested = tests.of(battery.id()).stream()
                .filter(test -> test.part() != null)
                .map(test -> new Tested(
                        Math.max(
                                0,
                                years - Duration.between(test.begun().at(), now).toHours() / 24.0 / DAYS_A_YEAR),
                        Objects.requireNonNull(test.part())))
                .toList();
        double part = stress.partAYear(cycles);
        return new Life(
                battery,
                years,
                stress,
                cycles,
                tested,
                LifeForecast.of(years, part, part, tested),
                LifeForecast.ofNew(part),
                prices,
                tariff(state.rules()),
                state.cellsToRenew().size());
    }

    private static double tariff(Rules rules) {
        return rules.number(RuleKey.TARIFF_DAY) / 100;
    }

    private static Stress stress(Battery battery, BatteryState state, EventLog log, Instant now) {
        Instant from = now.minus(LOOKED_BACK);
        List<ChargeEnded> ended = log.between(ChargeEnded.class, from, now);
        List<Worked> worked = log.between(Worked.class, from, now);
        double days = Math.max(14, Math.min((double) LOOKED_BACK.toDays(), daysOf(log, now)));
        double capacity = battery.type().model().capacity().ampHours();
        double depth = worked.stream()
                .filter(shift -> shift.taken() != null)
                .mapToDouble(shift -> Objects.requireNonNull(shift.taken()).ampHours() / capacity)
                .average()
                .orElse(USUAL_DEPTH);
        double celsius = log.between(HottestOfCharge.class, from, now).stream()
                .mapToDouble(hottest -> hottest.celsius().degrees() - WARMEST_ABOVE_MEAN)
                .average()
                .orElse(ROOM);
        long early =
                ended.stream().filter(charge -> charge.ending().isBeforeFull()).count();
        boolean thirsty = state.findings().stream()
                .anyMatch(f -> f.finding().code() == FindingCode.CELL_DRY
                        || f.finding().code() == FindingCode.BATTERY_THIRSTY
                        || f.finding().code() == FindingCode.CELL_THIRSTY);
        return new Stress(
                Math.min(1500, ended.size() / days * DAYS_A_YEAR),
                Math.max(0, Math.min(1, depth)),
                Math.max(-20, Math.min(60, celsius)),
                thirsty ? THIRSTY : 0,
                ended.isEmpty() ? 0 : early / (double) ended.size());
    }

    private static double daysOf(EventLog log, Instant now) {
        Instant begun = log.begun();
        return begun == null
                ? LOOKED_BACK.toDays()
                : Duration.between(begun, now).toHours() / 24.0;
    }

    /** @return for each model the cycles a year that its batteries would have if they took turns */
    static Map<String, Double> even(List<Life> lives) {
        return lives.stream()
                .collect(Collectors.groupingBy(
                        life -> life.battery().type().code(),
                        Collectors.averagingDouble(life -> life.stress().cyclesAYear())));
    }
}
