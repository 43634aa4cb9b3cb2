package org.ostendum.app.sums;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.device.ExpectedCharges;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.capacity.CapacitySums;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.life.Prices;
import org.ostendum.core.room.RoomAirflow;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.springframework.stereotype.Service;

/** What a battery, a machine, a charger or a room of the site says about the values of a sum. By the values' names. */
@Service
class SumStarts {
    /** A day's work of a forklift battery, part of its capacity. */
    private static final double USUAL_DEPTH = 0.7;
    /** Put in beyond what was taken, part of capacity. */
    private static final double OVERCHARGE = 0.08;

    private static final double USUAL_CHARGER = 0.16;
    private static final double CAR_AMPERES = 75;
    private static final double USUAL_EXPONENT = 1.2;

    private final Batteries batteries;
    private final Machines machines;
    private final Rooms rooms;
    private final Chargers chargers;
    private final ExpectedCharges charges;
    private final BatteryStates batteryStates;

    SumStarts(
            Batteries batteries,
            Machines machines,
            Rooms rooms,
            Chargers chargers,
            ExpectedCharges charges,
            BatteryStates batteryStates) {
        this.batteries = batteries;
        this.machines = machines;
        this.rooms = rooms;
        this.chargers = chargers;
        this.charges = charges;
        this.batteryStates = batteryStates;
    }

    /** All that a sum can start from. */
    List<String> codes() {
        return Stream.of(
                        batteries.all().stream().map(Battery::code),
                        machines.all().stream().map(m -> m.code()),
                        chargers.all().stream().map(RoomPlan.Charger::code),
                        rooms.names().stream().map(Rooms.RoomName::code))
                .flatMap(s -> s)
                .toList();
    }

    /** @return metric values; empty where nothing of the site has this code */
    Optional<Map<String, Double>> of(String code) {
        return battery(code)
                .map(this::ofBattery)
                .or(() -> machines.byCode(code).map(empty -> Map.<String, Double>of()))
                .or(() -> chargers.byCode(code).map(SumStarts::ofCharger))
                .or(() -> rooms.byCode(code).map(SumStarts::ofRoom));
    }

    /** A machine is worked on through the battery in it. */
    private Optional<Battery> battery(String code) {
        return batteries.byCode(code).or(() -> machines.byCode(code).flatMap(machine -> batteries.all().stream()
                .filter(battery -> machine.code().equals(battery.machineCode()))
                .findFirst()));
    }

    /**
     * What a charge takes here, beside what a sum says of it.
     *
     * @param missing Ah to be put back
     * @return empty where the code is no battery's or machine's, or too few charges are on record
     */
    Optional<OwnCharge> ownCharge(String code, double missing) {
        return battery(code).flatMap(battery -> ownCharge(battery, missing));
    }

    private Optional<OwnCharge> ownCharge(Battery battery, double missing) {
        return chargers.usualOf(battery).flatMap(chargers::byId).flatMap(charger -> charges.learned(
                        battery, charger, missing)
                .map(lasts -> new OwnCharge(battery.code(), charger.code(), lasts)));
    }

    /** A charge of this battery on its usual charger, learned from those on record. */
    record OwnCharge(String battery, String charger, TimeToFull.Estimate lasts) {}

    private Map<String, Double> ofBattery(Battery battery) {
        BatteryModel model = battery.type().model();
        double capacity = model.capacity().ampHours();
        Map<String, Double> values = new HashMap<>();
        values.put("capacityAmpereHours", capacity);
        values.put("rateHours", model.rateHours());
        values.put("testAmperes", capacity / model.rateHours());
        values.put("loadAmperes", load(model));
        values.put("cells", (double) model.cells());
        if (battery.type().weightKg() > 0) {
            values.put("weightKilograms", (double) battery.type().weightKg());
        }
        values.put("isMotive", model.duty() == Duty.MOTIVE ? 1.0 : 0.0);
        values.put("isAircraft", model.duty() == Duty.AIRCRAFT ? 1.0 : 0.0);
        Rules rules = batteryStates.rulesFor(battery);
        values.put("mostDaysBetween", (double)
                rules.duration(RuleKey.waterInterval(model.duty())).toDays());
        values.put("missingAmpereHours", USUAL_DEPTH * capacity);
        values.put(
                "chargerAmperes",
                chargers.usualOf(battery)
                        .flatMap(chargers::byId)
                        .map(c -> c.amps())
                        .orElse(USUAL_CHARGER * capacity));
        ownCharge(battery, USUAL_DEPTH * capacity)
                .ifPresent(own -> values.put(
                        "chargeHours", Math.round(own.lasts().likely().toMinutes() / 6.0) / 10.0));
        values.put("overchargeAmpereHours", OVERCHARGE * capacity);
        values.put("gassingAmperes", ChargeSums.finish(model.capacity()).amperes());
        List<BatteryCourse.Mark> course =
                batteryStates.stateOf(battery).course().marks();
        if (!course.isEmpty()) {
            BatteryCourse.Mark last = course.get(course.size() - 1);
            values.put("gravity", last.median().tenths() / 10_000.0);
            // It is the lowest cell that may want acid.
            values.put("nowGravity", last.lowest().tenths() / 10_000.0);
        }
        values.put("rechargeGravity", model.marks().rechargeBelow().tenths() / 10_000.0);
        GravityMarks marks = model.marks();
        values.put("wantedGravity", (marks.fullFrom().tenths() + marks.fullTo().tenths()) / 20_000.0);
        @Nullable Prices prices = battery.type().prices();
        if (prices != null) {
            values.put("repairPrice", prices.cellRepair());
            values.put("newPrice", prices.newBattery());
            values.put("coreCredit", prices.coreCredit());
            values.put("newCycles", (double) prices.cycles());
        }
        return values;
    }

    /** What its machine draws: of a car 75 A, at which makers state minutes; else the rated current. */
    private static double load(BatteryModel model) {
        double rated = model.capacity().ampHours() / model.rateHours();
        return model.duty() == Duty.DEEP_CYCLE && rated < CAR_AMPERES
                ? Math.min(
                        CAR_AMPERES,
                        CapacitySums.mostCurrent(model.capacity(), model.rateHours(), USUAL_EXPONENT)
                                .amperes())
                : rated;
    }

    private static Map<String, Double> ofCharger(RoomPlan.Charger charger) {
        return Map.of(
                "chargerAmperes",
                charger.amps(),
                "cells",
                (double) charger.cells(),
                "capacityAmpereHours",
                charger.amps() / USUAL_CHARGER,
                "missingAmpereHours",
                USUAL_DEPTH * charger.amps() / USUAL_CHARGER,
                "gassingAmperes",
                RoomAirflow.finish(charger).amperes());
    }

    /** All its chargers finishing at once: hydrogen goes with cells times amperes, so the amperes are their mean by cells. */
    private static Map<String, Double> ofRoom(RoomPlan room) {
        List<RoomPlan.Charger> chargers = room.chargers().toList();
        double cells = chargers.stream().mapToInt(RoomPlan.Charger::cells).sum();
        double cellAmperes = chargers.stream()
                .mapToDouble(c -> c.cells() * RoomAirflow.finish(c).amperes())
                .sum();
        Map<String, Double> values = new HashMap<>();
        values.put("roomCubicMetres", room.cubicMetres());
        if (cells > 0) {
            values.put("cells", cells);
            values.put("gassingAmperes", Math.round(10 * cellAmperes / cells) / 10.0);
        }
        return values;
    }
}
