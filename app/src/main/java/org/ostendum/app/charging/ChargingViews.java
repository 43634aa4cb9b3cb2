package org.ostendum.app.charging;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charging.ChargingView.CoolingLine;
import org.ostendum.app.charging.ChargingView.ReadyLine;
import org.ostendum.app.charging.ChargingView.Running;
import org.ostendum.app.draw.GasDrawing;
import org.ostendum.app.draw.GasPlotter;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.RecentCharges;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.change.RestOrder;
import org.ostendum.core.gas.GasBudget;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Heat;
import org.springframework.stereotype.Service;

/** Puts together what charges, cools and is ready, and what the room's air will hold. */
@Service
class ChargingViews {
    static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 240;

    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final Rooms rooms;
    private final RunningCharges runningCharges;
    private final RoomGas gas;
    private final RecentCharges recentCharges;
    private final ZoneId zone;

    ChargingViews(
            Batteries batteries,
            BatteryStates batteryStates,
            Rooms rooms,
            RunningCharges runningCharges,
            RoomGas gas,
            RecentCharges recentCharges,
            ZoneId zone) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.rooms = rooms;
        this.runningCharges = runningCharges;
        this.gas = gas;
        this.recentCharges = recentCharges;
        this.zone = zone;
    }

    /** Each battery with its state. */
    private record Line(Battery battery, BatteryState state) {}

    /** @param fanOff whether the gas is to be foreseen without the fan */
    ChargingView view(boolean fanOff) {
        List<Line> lines = lines();
        Map<Long, BatteryState> states = new HashMap<>();
        lines.forEach(line -> states.put(line.battery().id(), line.state()));
        List<RoomPlan> plans = rooms.ofChargers();
        List<Running> running =
                runningCharges.now(lines.stream().map(Line::battery).toList(), states, plans);
        RoomGas.@Nullable Ahead ahead = gas.worst(plans, running, fanOff);
        double alarm = percent(RuleKey.HYDROGEN_ALARM);
        return new ChargingView(
                running, cooling(lines), ready(lines), equalise(lines), ahead == null ? null : air(ahead, alarm), (int)
                        lines.stream()
                                .filter(ChargingViews::isReady)
                                .filter(l -> !l.state().isFitForWork())
                                .count());
    }

    private ChargingView.RoomAir air(RoomGas.Ahead ahead, double alarm) {
        return new ChargingView.RoomAir(
                ahead.room(),
                ahead.moments().isEmpty() ? null : drawing(ahead, alarm),
                GasBudget.reaches(ahead.moments(), alarm).orElse(null),
                100 * ahead.most(),
                (int) Math.round(ahead.air()),
                ahead.measured());
    }

    private double percent(RuleKey rule) {
        return batteryStates.rulebook().siteRules().value(rule).doubleValue() / 100;
    }

    private List<Line> lines() {
        List<Battery> all = batteries.all();
        Rulebook book = batteryStates.rulebook();
        Map<Long, BatteryState> states = batteryStates.statesOf(all, book);
        return all.stream()
                .map(battery -> new Line(battery, Objects.requireNonNull(states.get(battery.id()))))
                .toList();
    }

    private GasDrawing drawing(RoomGas.Ahead ahead, double alarm) {
        return GasPlotter.plot(
                ahead.moments(),
                ahead.batteries(),
                alarm,
                percent(RuleKey.HYDROGEN_STOP),
                zone,
                DRAWN_WIDTH,
                DRAWN_HEIGHT);
    }

    private List<CoolingLine> cooling(List<Line> lines) {
        List<CoolingLine> cooling = new ArrayList<>();
        for (Line line : lines) {
            BatteryState state = line.state();
            Instant until = state.heat().coolingUntil();
            if (until != null) {
                Heat heat = state.heat().temperature();
                cooling.add(new CoolingLine(
                        line.battery(),
                        state.phaseSince(),
                        until,
                        state.heat().coolingLeft(),
                        heat == null ? null : heat.celsius()));
            }
        }
        cooling.sort(Comparator.comparing(CoolingLine::readyAt));
        return cooling;
    }

    private static boolean isReady(Line line) {
        return line.state().phase() == BatteryState.Phase.READY
                && line.battery().slotId() != null;
    }

    /** First in, first out: what has waited longest goes first, for each voltage and duty. */
    private Map<String, List<ReadyLine>> ready(List<Line> lines) {
        List<Line> ready = lines.stream()
                .filter(l -> isReady(l) && l.state().isFitForWork())
                .toList();
        Map<Long, Integer> cycles = recentCharges.cyclesOf(
                ready.stream().map(line -> line.battery().id()).toList());
        Map<String, List<ReadyLine>> byKind = new TreeMap<>();
        for (Line line : ready) {
            Instant since = line.state().phaseSince();
            if (since != null) {
                BatteryModel model = line.battery().type().model();
                byKind.computeIfAbsent(
                                model.nominalVolts() + " V "
                                        + Math.round(model.capacity().ampHours()) + " Ah",
                                k -> new ArrayList<>())
                        .add(new ReadyLine(
                                line.battery(),
                                since,
                                new RestOrder(
                                        line.battery().code(),
                                        Duration.between(since, line.state().asOf()),
                                        cycles.getOrDefault(line.battery().id(), 0))));
            }
        }
        byKind.values().forEach(list -> list.sort(Comparator.comparing(ReadyLine::turn)));
        return byKind;
    }

    private List<EqualiseLine> equalise(List<Line> lines) {
        return lines.stream()
                .flatMap(line -> EqualiseLine.of(line.battery(), line.state()).stream())
                .sorted(EqualiseLine.IN_TURN)
                .toList();
    }
}
