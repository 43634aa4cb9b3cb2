package org.ostendum.app.charging;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.charging.ChargingView.Running;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.device.ExpectedCharges;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.RecentCharges;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.OnCharge;
import org.springframework.stereotype.Service;

/** What charges now, by the state of each battery, with what its charger and its devices say of it. */
@Service
class RunningCharges {
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final RecentCharges recentCharges;
    private final Rooms rooms;
    private final Chargers chargers;
    private final ChargeRuns runs;
    private final DeviceStatuses statuses;

    RunningCharges(
            Batteries batteries,
            BatteryStates batteryStates,
            RecentCharges recentCharges,
            Rooms rooms,
            Chargers chargers,
            ChargeRuns runs,
            DeviceStatuses statuses) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.recentCharges = recentCharges;
        this.rooms = rooms;
        this.chargers = chargers;
        this.runs = runs;
        this.statuses = statuses;
    }

    /** @return those to be ended at once, then the next to be full first; last those at whose charger nothing is plugged in */
    List<Running> now() {
        List<Battery> all = batteries.all();
        return now(all, batteryStates.statesOf(all));
    }

    /** The same of batteries and states at hand. */
    List<Running> now(Collection<Battery> all, Map<Long, BatteryState> states) {
        return now(all, states, rooms.ofChargers());
    }

    /** The same with the rooms and their chargers at hand. */
    List<Running> now(Collection<Battery> all, Map<Long, BatteryState> states, Collection<RoomPlan> plans) {
        Map<Long, ChargeRun> open = new HashMap<>();
        runs.open().forEach(run -> open.put(run.batteryId(), run));
        Map<Long, RoomPlan.Charger> bySlot = new HashMap<>();
        plans.stream().flatMap(RoomPlan::slots).forEach(slot -> {
            RoomPlan.Charger charger = slot.charger();
            if (charger != null) {
                bySlot.put(slot.id(), charger);
            }
        });
        Map<Long, RoomPlan.Charger> byId = chargers.all().stream().collect(Collectors.toMap(c -> c.id(), c -> c));
        Instant now = batteryStates.instant();
        Rulebook book = batteryStates.rulebook();
        List<Battery> charging =
                all.stream().filter(b -> state(states, b).isCharging()).toList();
        Map<Long, PastCharges> past =
                recentCharges.of(charging.stream().map(Battery::id).toList());
        return charging.stream()
                .map(b -> {
                    ChargeRun run = open.get(b.id());
                    RoomPlan.@Nullable Charger charger =
                            run == null ? bySlot.get(b.slotId()) : byId.get(run.chargerId());
                    return running(
                            b,
                            state(states, b),
                            run,
                            charger,
                            book.rulesFor(b.type().id()),
                            Objects.requireNonNull(past.get(b.id())),
                            now);
                })
                .sorted(Comparator.comparing((Running r) -> r.endNow() == null)
                        .thenComparing(Running::isUnplugged)
                        .thenComparing(r -> r.left().likely()))
                .toList();
    }

    private static BatteryState state(Map<Long, BatteryState> states, Battery battery) {
        return Objects.requireNonNull(states.get(battery.id()));
    }

    private Running running(
            Battery battery,
            BatteryState state,
            @Nullable ChargeRun run,
            RoomPlan.@Nullable Charger charger,
            Rules rules,
            PastCharges past,
            Instant now) {
        BatteryModel model = battery.type().model();
        OnCharge charge = Objects.requireNonNull(state.onCharge());
        Instant since = charge.since();
        double usual = ExpectedCharges.USUAL_RATE * model.capacity().ampHours();
        TimeToFull.Estimate whole = ExpectedCharges.whole(
                charge.kind(),
                run == null ? null : run.lasts(),
                model,
                rules,
                new Amperes(charger == null ? usual : charger.amps()),
                past);
        return new Running(
                battery,
                state.cells().atWork(),
                charger,
                charge.kind(),
                since,
                whole,
                whole.after(Duration.between(since, now)),
                past.finished().size(),
                charger == null ? List.<Mismatch>of() : ChargerMatches.ofPlates(charger, battery, state, rules),
                NextThings.endOfCharge(battery.code(), state).orElse(null),
                charger == null ? null : statuses.charger(charger.id()).orElse(null),
                statuses.tag(battery.id()).map(TagStatus::celsius).orElse(null));
    }
}
