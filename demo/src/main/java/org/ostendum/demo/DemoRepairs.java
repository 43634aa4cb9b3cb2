package org.ostendum.demo;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.inventory.Packs.CableNote;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellMarked;
import org.ostendum.core.event.BatteryEvent.KitFitted;
import org.ostendum.core.event.BatteryEvent.KitTakenOff;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Tap;

/** What was done to single cells and blocks before the demo begins: a bridge whose date is near, a tap that has hung too long, kits. */
class DemoRepairs {
    private static final Duration BRIDGED_AGO = Duration.ofDays(24);
    private static final Duration BRIDGED_FOR = Duration.ofDays(28);
    /** More than a year: time to spare those blocks. */
    private static final Duration TAPPED_AGO = Duration.ofDays(400);

    private static final Duration MARKED_AGO = Duration.ofDays(300);
    private static final String LUG = "8 mm ring";
    private static final BigDecimal CABLE_PRICE = new BigDecimal("14.50");
    private static final Duration KIT_AGO = Duration.ofDays(392);
    private static final Duration KIT_OFF_AGO = Duration.ofDays(1);
    private static final Duration KIT_LATELY = Duration.ofDays(120);

    private final Batteries batteries;
    private final Packs packs;
    private final BatteryRecord record;
    private final People people;
    private final DemoClock clock;

    DemoRepairs(Batteries batteries, Packs packs, BatteryRecord record, People people, DemoClock clock) {
        this.batteries = batteries;
        this.packs = packs;
        this.record = record;
        this.people = people;
        this.clock = clock;
    }

    void fill() {
        Battery car = batteries.byCode("G-08").orElseThrow();
        packs.addTap(car.id(), new Tap("Lights", 1, 2), clock.instant().minus(TAPPED_AGO));
        drawFittings(car);
        fitKits();
        markBlocks("G-08");
        measureCables("G-06");
        measureCables("G-08");
        Battery truck = batteries.byCode("T-23").orElseThrow();
        Instant bridged = clock.instant().minus(BRIDGED_AGO);
        record.record(
                truck,
                List.of(LedgerEvents.entry(
                        new CellBridged(bridged, 4, bridged.plus(BRIDGED_FOR)),
                        people.byLogin("maud").orElseThrow().id(),
                        "New cell is ordered.")));
    }

    private void drawFittings(Battery car) {
        for (Fitting fitting : List.of(
                new Fitting(Fitting.Kind.MAIN_SWITCH, "M-"),
                new Fitting(Fitting.Kind.SENSE_LEAD, "1+"),
                new Fitting(Fitting.Kind.SHROUD, "1+"),
                new Fitting(Fitting.Kind.SHROUD, "6-"))) {
            packs.addFitting(car.id(), fitting);
        }
    }

    /** On a truck's battery, and off again; on a car's, of which four injectors let too much through. */
    private void fitKits() {
        fitKit("T-11", "short float, 28 mm", 3, KIT_AGO);
        // A cell of it is being renewed: no kit is on a battery that is drilled.
        keep("T-11", new KitTakenOff(clock.instant().minus(KIT_OFF_AGO)));
        fitKit("G-09", "bayonet, low float", 2, KIT_LATELY);
    }

    /** Read from the blocks on the day they were bought. */
    private void markBlocks(String code) {
        Battery pack = batteries.byCode(code).orElseThrow();
        int cellsPerBlock = pack.type().model().layout().cellsPerCase();
        int blocks = pack.type().model().cells() / cellsPerBlock;
        for (int block = 1; block <= blocks; block++) {
            int cell = (block - 1) * cellsPerBlock + 1;
            keep(code, new CellMarked(clock.instant().minus(MARKED_AGO), cell, "VB " + (4107 + block), "H5"));
        }
    }

    /** Each cable with its lug and what a new one costs, as the studio's shop makes them. */
    private void measureCables(String code) {
        Battery battery = batteries.byCode(code).orElseThrow();
        packs.of(battery).ifPresent(pack -> pack.cables()
                .forEach(cable ->
                        packs.keepCable(battery.id(), new CableNote(cable.number(), null, LUG, "", CABLE_PRICE))));
    }

    private void fitKit(String code, String injector, int probe, Duration ago) {
        keep(code, new KitFitted(clock.instant().minus(ago), injector, probe));
    }

    private void keep(String code, BatteryEvent event) {
        record.record(
                batteries.byCode(code).orElseThrow(),
                List.of(LedgerEvents.entry(
                        event, people.byLogin("tom").orElseThrow().id(), "")));
    }
}
