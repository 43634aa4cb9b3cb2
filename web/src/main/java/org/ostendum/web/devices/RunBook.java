package org.ostendum.web.devices;

import java.time.Duration;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.ChargeRun;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.RoomPlan;
import org.ostendum.web.store.Rooms;
import org.springframework.stereotype.Service;

/** Looks up what the ledger knows of a charge. */
@Service
public class RunBook {
    /** A charger nobody has written down: the usual part of the capacity. */
    public static final double USUAL_RATE = 0.16;

    private static final Duration LEARNED_FROM = Duration.ofDays(120);

    private final Batteries batteries;
    private final Ledger ledger;
    private final Rooms rooms;
    private final Bench bench;

    RunBook(Batteries batteries, Ledger ledger, Rooms rooms, Bench bench) {
        this.batteries = batteries;
        this.ledger = ledger;
        this.rooms = rooms;
        this.bench = bench;
    }

    RunFacts of(ChargeRun run) {
        Battery battery = batteries.byId(run.batteryId()).orElseThrow();
        BatteryModel model = battery.type().model();
        PastCharges past = ledger.charges(battery.id(), run.begunAt().minus(LEARNED_FROM));
        Amperes amperes = amperes(run, model);
        return new RunFacts(
                battery,
                bench.rulesFor(battery),
                past.taken(),
                new TimeToFull(model.capacity(), amperes, past.finished()).estimate(past.taken()));
    }

    private Amperes amperes(ChargeRun run, BatteryModel model) {
        return rooms.plans().stream()
                .flatMap(RoomPlan::chargers)
                .filter(c -> run.chargerId() != null && c.id() == run.chargerId())
                .map(RoomPlan.Charger::sheet)
                .map(ChargerSheet::amperes)
                .findFirst()
                .orElseGet(() -> new Amperes(USUAL_RATE * model.capacity().ampHours()));
    }
}
