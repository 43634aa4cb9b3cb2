package org.ostendum.app.plan.house;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.RecentCharges;
import org.ostendum.app.plan.house.Mishap.Kind;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.charger.ChargerMatch;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.plan.ChargeLength;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.room.RoomAirflow;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/** Chargers of the house as the plan sees them: what they draw, what their batteries give off, which go with which battery, and how long a charge lasts. */
@Component
class HouseChargers {
    private static final Celsius ROOM = Celsius.of(20);

    private final Rooms rooms;
    private final RecentCharges recentCharges;

    HouseChargers(Rooms rooms, RecentCharges recentCharges) {
        this.rooms = rooms;
        this.recentCharges = recentCharges;
    }

    List<RoomPlan> plans() {
        return rooms.plans();
    }

    /** @return code of the charger over each slot */
    static Map<Long, String> overSlots(List<RoomPlan> plans) {
        Map<Long, String> over = new HashMap<>();
        plans.stream().flatMap(RoomPlan::slots).forEach(slot -> {
            RoomPlan.Charger charger = slot.charger();
            if (charger != null) {
                over.put(slot.id(), charger.code());
            }
        });
        return over;
    }

    List<PlanCharger> chargers(List<RoomPlan> plans, List<Mishap> mishaps, Rules site) {
        Map<Long, String> places = new HashMap<>();
        plans.forEach(plan -> plan.slots()
                .filter(slot -> slot.charger() != null)
                .forEach(slot -> places.put(slot.charger().id(), slot.code())));
        return plans.stream()
                .flatMap(plan -> plan.chargers()
                        .map(charger -> new PlanCharger(
                                charger.code(),
                                2 * charger.cells(),
                                charger.sheet().connector(),
                                places.getOrDefault(charger.id(), ""),
                                ChargerMatch.kilowatts(charger.sheet(), charger.cells(), site),
                                litresPerHour(charger),
                                plan.name(),
                                mishaps.stream()
                                        .filter(mishap -> mishap.isOf(Kind.CHARGER_DEAD, charger.code()))
                                        .map(mishap -> new Span(mishap.from(), mishap.until()))
                                        .toList())))
                .toList();
    }

    private static double litresPerHour(RoomPlan.Charger charger) {
        double finish = Math.min(
                RoomAirflow.finish(charger).amperes(),
                ChargeSums.finish(AmpHours.of(charger.sheet().most().ampHours()))
                        .amperes());
        return 1000
                * Gassing.hydrogenPerHour(charger.cells(), new Amperes(finish), ROOM)
                        .cubicMetres();
    }

    /** What the air of each room carries off below the alarm, and what the site may draw and has drawn. */
    static RoomLimits room(List<RoomPlan> plans, Rules site) {
        double power = site.number(RuleKey.SITE_POWER);
        double alarm = site.number(RuleKey.HYDROGEN_ALARM) / 100;
        Map<String, Double> airs = new LinkedHashMap<>();
        plans.forEach(plan -> {
            double moved = RoomAirflow.cubicMetresPerHour(plan);
            if (moved > 0) {
                airs.put(plan.name(), 1000 * moved * alarm);
            }
        });
        return new RoomLimits(power == 0 ? null : (Double) power, null, airs, site.number(RuleKey.SITE_PEAK));
    }

    List<Pairing> pairings(
            Collection<Battery> batteries, Map<Long, BatteryState> states, List<RoomPlan> plans, Rulebook book) {
        Map<Long, PastCharges> past =
                recentCharges.of(batteries.stream().map(Battery::id).toList());
        List<RoomPlan.Charger> chargers =
                plans.stream().flatMap(RoomPlan::chargers).toList();
        List<Pairing> pairs = new ArrayList<>();
        for (Battery battery : batteries) {
            BatteryState state = Objects.requireNonNull(states.get(battery.id()));
            List<TimeToFull.Past> finished =
                    Objects.requireNonNull(past.get(battery.id())).finished();
            Map<Double, ChargeLength> lengths = new HashMap<>();
            for (RoomPlan.Charger charger : chargers) {
                if (goesWith(
                        charger, battery, state, book.rulesFor(battery.type().id()))) {
                    ChargeLength length =
                            lengths.computeIfAbsent(charger.amps(), amperes -> length(battery, amperes, finished));
                    pairs.add(new Pairing(
                            battery.code(),
                            charger.code(),
                            length.minutesPerAh(),
                            length.finishMinutes(),
                            length.spread()));
                }
            }
        }
        return pairs;
    }

    private static ChargeLength length(Battery battery, double amperes, List<TimeToFull.Past> finished) {
        AmpHours capacity = battery.type().model().capacity();
        return ChargeLength.of(new TimeToFull(capacity, new Amperes(amperes), finished), capacity.ampHours());
    }

    /** By the sheets; a machine with a charger of its own on board keeps to it. */
    private static boolean goesWith(RoomPlan.Charger charger, Battery battery, BatteryState state, Rules rules) {
        ChargerMatch.Surroundings now = new ChargerMatch.Surroundings(
                battery.type().connector(),
                null,
                0,
                null,
                ChargeKind.CONVENTIONAL,
                battery.type().opportunity(),
                state.cells().bridged().size());
        // What only watches is worth watching, not worth leaving a charger empty for.
        return charger.reaches(battery.machineCode())
                && ChargerMatch.of(charger.sheet(), battery.type().model(), now, rules).stream()
                        .noneMatch(misfit -> misfit.severity().compareTo(Severity.ACT) >= 0);
    }
}
