package org.ostendum.app.device;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.ledger.RecentCharges;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.commission.InitialChargePlan;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.rulebook.Rules;
import org.springframework.stereotype.Service;

/** Looks up what the ledger knows of a charge. */
@Service
public class ExpectedCharges {
    /** A charger nobody has written down: the usual part of the capacity. */
    public static final double USUAL_RATE = 0.16;

    private final Batteries batteries;
    private final RecentCharges charges;
    private final Chargers chargers;
    private final BatteryStates batteryStates;

    ExpectedCharges(Batteries batteries, RecentCharges charges, Chargers chargers, BatteryStates batteryStates) {
        this.batteries = batteries;
        this.charges = charges;
        this.chargers = chargers;
        this.batteryStates = batteryStates;
    }

    ExpectedCharge of(ChargeRun run) {
        Battery battery = batteries.byId(run.batteryId()).orElseThrow();
        BatteryModel model = battery.type().model();
        PastCharges past =
                Objects.requireNonNull(charges.of(List.of(battery.id())).get(battery.id()));
        Rules rules = batteryStates.rulesFor(battery);
        return new ExpectedCharge(
                battery, rules, past.taken(), whole(run.kind(), run.lasts(), model, rules, amperes(run, model), past));
    }

    /**
     * @param charger it would stand on
     * @param missing Ah to be put back
     * @return how long a charge of this battery takes there; empty where too few are on record to learn from
     */
    public Optional<TimeToFull.Estimate> learned(Battery battery, RoomPlan.Charger charger, double missing) {
        PastCharges past =
                Objects.requireNonNull(charges.of(List.of(battery.id())).get(battery.id()));
        AmpHours capacity = battery.type().model().capacity();
        return Optional.of(new TimeToFull(capacity, charger.sheet().amperes(), past.finished()).estimate(missing))
                .filter(TimeToFull.Estimate::isLearned);
    }

    /**
     * How long a charge takes: a first one by its plan, a low current its hours, anything else as long as it takes.
     *
     * @param lasts hours of a low current; null for the charger's own course
     */
    public static TimeToFull.Estimate whole(
            ChargeKind kind,
            @Nullable Duration lasts,
            BatteryModel model,
            Rules rules,
            Amperes amperes,
            PastCharges past) {
        if (kind == ChargeKind.INITIAL) {
            return InitialChargePlan.of(model, rules).lasts();
        } else if (lasts != null) {
            return new TimeToFull.Estimate(lasts, lasts, lasts, false);
        }
        return new TimeToFull(model.capacity(), amperes, past.finished()).estimate(past.taken());
    }

    private Amperes amperes(ChargeRun run, BatteryModel model) {
        return chargers.byId(run.chargerId())
                .map(charger -> charger.sheet().amperes())
                .orElseGet(() -> new Amperes(USUAL_RATE * model.capacity().ampHours()));
    }
}
