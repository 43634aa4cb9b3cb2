package org.ostendum.app.charging;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charging.ChargingView.Running;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.device.ExpectedCharges;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.charger.ChargerMatch;
import org.ostendum.core.charger.ChargerMatch.Surroundings;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** Whether a charger goes with a battery here and now: by the sheets, the battery's voltage, the air and the power left. */
@Service
public class ChargerMatches {
    private final Batteries batteries;
    private final RunningCharges runningCharges;
    private final RoomGas gas;
    private final Rooms rooms;
    private final DeviceStatuses statuses;
    private final BatteryStates batteryStates;

    ChargerMatches(
            Batteries batteries,
            RunningCharges runningCharges,
            RoomGas gas,
            Rooms rooms,
            DeviceStatuses statuses,
            BatteryStates batteryStates) {
        this.batteries = batteries;
        this.runningCharges = runningCharges;
        this.gas = gas;
        this.rooms = rooms;
        this.statuses = statuses;
        this.batteryStates = batteryStates;
    }

    /** A charger beside a battery, and what does not fit. */
    public record Match(RoomPlan.Charger charger, List<Mismatch> misfits) {
        public boolean isRefused() {
            return ChargerMatch.isRefused(misfits);
        }

        public boolean isGood() {
            return misfits.isEmpty();
        }
    }

    /** By the sheets alone. */
    static List<Mismatch> ofPlates(RoomPlan.Charger charger, Battery battery, BatteryState state, Rules rules) {
        return ChargerMatch.of(
                charger.sheet(),
                battery.type().model(),
                around(battery, state, ChargeKind.CONVENTIONAL, Surroundings.UNKNOWN),
                rules);
    }

    private static Surroundings around(Battery battery, BatteryState state, ChargeKind wanted, Surroundings now) {
        return new Surroundings(
                battery.type().connector(),
                now.rest(),
                now.hydrogen(),
                now.kilowattsLeft(),
                wanted,
                battery.type().opportunity(),
                state.cells().bridged().size());
    }

    /** @return batteries that have worked since their last charge and go with this charger by the sheets */
    List<Battery> waitingFor(RoomPlan.Charger charger) {
        List<Battery> all = batteries.all();
        Rulebook book = batteryStates.rulebook();
        Map<Long, BatteryState> states = batteryStates.statesOf(all, book);
        return all.stream()
                .filter(b -> {
                    Rules rules = book.rulesFor(b.type().id());
                    BatteryState state = Objects.requireNonNull(states.get(b.id()));
                    return state.phase() == BatteryState.Phase.WORKED
                            && state.inHand() == null
                            && ofPlates(charger, b, state, rules).isEmpty();
                })
                .toList();
    }

    /** @return every charger of the site beside this battery, those that fit first */
    public List<Match> all(Battery battery, ChargeKind wanted) {
        List<Running> running = runningCharges.now();
        Rules rules = batteryStates.rulesFor(battery);
        BatteryModel model = battery.type().model();
        BatteryState state = batteryStates.stateOf(battery);
        @Nullable Double left = kilowattsLeft(running);
        Duration whole = whole(battery);
        return rooms.ofChargers().stream()
                .flatMap(room -> {
                    double hydrogen = gas.with(room, running, model, whole).most();
                    Surroundings now = around(battery, state, wanted, now(battery, hydrogen, left, wanted));
                    return room.chargers()
                            .filter(c -> c.reaches(battery.machineCode()))
                            .map(c -> new Match(c, ChargerMatch.of(c.sheet(), model, now, rules)));
                })
                .sorted((a, b) ->
                        Integer.compare(a.misfits().size(), b.misfits().size()))
                .toList();
    }

    private Surroundings now(Battery battery, double hydrogen, @Nullable Double left, ChargeKind wanted) {
        return new Surroundings(
                "", statuses.tag(battery.id()).map(TagStatus::volts).orElse(null), hydrogen, left, wanted, false, 0);
    }

    private static Duration whole(Battery battery) {
        BatteryModel model = battery.type().model();
        return new TimeToFull(
                        model.capacity(),
                        new Amperes(
                                ExpectedCharges.USUAL_RATE * model.capacity().ampHours()),
                        List.of())
                .estimate(null)
                .likely();
    }

    /** What runs is taken at the full current of its charger: it may begin again at any moment. */
    private @Nullable Double kilowattsLeft(List<Running> running) {
        Rules site = batteryStates.rulesFor(null);
        double limit = site.number(RuleKey.SITE_POWER);
        if (limit == 0) {
            return null;
        }
        double drawn = running.stream()
                .filter(r -> r.charger() != null)
                .mapToDouble(r -> ChargerMatch.kilowatts(r.charger().sheet(), r.cells(), site))
                .sum();
        return Math.max(0, limit - drawn);
    }
}
