package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.sim.RoomBattery;

/** A battery of the room: its cells, what is being done to it, and what is due. */
final class LivedBattery {
    private static final Duration MINUTE = Duration.ofMinutes(1);
    /** Of a charger's current, from mains and heat, one standard deviation (rule of thumb). */
    static final double CURRENT_SPREAD = 0.06;
    /** Water is due when so much of the reserve is left. */
    private static final double WATER_AT = 0.3;

    private static final int WATER_MINUTES = 10;
    private static final Duration WATER_WITHIN = Duration.ofDays(2);
    private static final double FULL_WITHIN = 0.03;

    final PoolBattery sheet;
    final List<Due> due;
    private final RoomBattery cells;
    private final SplittableRandom chance;
    int cycles;
    boolean bare;
    /** What it is at; null while it stands. */
    @Nullable
    PlanJob at;
    /** When that ends, as far as anybody knows. */
    Instant until = Instant.MIN;

    /** When it may work again, or when that was. */
    @Nullable
    Instant cool;

    boolean full;
    private double took;
    private double gave;
    private double currentPart;

    LivedBattery(PoolBattery sheet, long seed) {
        this.sheet = sheet;
        this.due = sheet.due().stream()
                .filter(care -> care.what() != Task.WATER)
                .collect(Collectors.toCollection(ArrayList::new));
        this.chance = new SplittableRandom(seed);
        this.cells = RoomBattery.of(model(sheet), sheet.missingAh() / sheet.capacityAh(), seed);
        this.full = sheet.missingAh() == 0;
        this.took = sheet.missingAh();
        this.cycles = sheet.cycles();
        cells.dry(0.2 + 0.4 * chance.nextDouble());
    }

    private static BatteryModel model(PoolBattery sheet) {
        int count = sheet.volts() / 2;
        return new BatteryModel(
                sheet.volts() + " V",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(count / 6, 6),
                AmpHours.of(sheet.capacityAh()),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
    }

    boolean isIdle() {
        return at == null;
    }

    boolean isReady(Instant now) {
        return isIdle() && full && (cool == null || !now.isBefore(cool));
    }

    /** @return Ah that the room's people take to be missing */
    double missing() {
        return full ? 0 : Math.max(FULL_WITHIN * sheet.capacityAh(), cells.lacking());
    }

    void takeOut(double ampHours) {
        double out = Math.min(ampHours, 0.9 * sheet.capacityAh());
        cells.take(out / sheet.capacityAh());
        took = out;
        full = false;
        cool = null;
        cycles++;
    }

    void beginCharge() {
        beginCharge(Math.exp(CURRENT_SPREAD * chance.nextGaussian()));
    }

    /** @param ofCurrent part of the charger's current that flows */
    void beginCharge(double ofCurrent) {
        gave = 0;
        currentPart = ofCurrent;
    }

    /** What a minute on the charger was. */
    record Minute(double kilowatts, double gassedAh, boolean ended) {}

    /** @param equalises whether the low current after the charge flows */
    Minute chargeMinute(boolean equalises) {
        double amps = cells.charging() * currentPart * (equalises ? 0.75 : 1);
        double volts = cells.volts(amps).volts();
        cells.pass(amps, MINUTE);
        gave += amps / 60;
        bare |= cells.leastReserve() < 0;
        boolean ended = !equalises && gave >= cells.wanted(took);
        return new Minute(amps * volts / 1000, cells.gassed(), ended);
    }

    void charged(Instant coolUntil) {
        full = true;
        cool = coolUntil;
    }

    /** A charge that was broken off: what came back came back. */
    void brokenOff() {
        took = cells.lacking();
    }

    /** Somebody looks into it after a charge. */
    void look(Instant now) {
        boolean known = due.stream().anyMatch(care -> care.what() == Task.WATER);
        if (cells.leastReserve() < WATER_AT && !known) {
            due.add(new Due(Task.WATER, now, now.plus(WATER_WITHIN), WATER_MINUTES, 0));
        }
    }

    void cared(Task what) {
        due.removeIf(care -> care.what() == what);
        if (what == Task.WATER) {
            water();
        }
    }

    /** @return kWh that the plates still want */
    double kilowattHoursMissing() {
        return full ? 0 : cells.lacking() * sheet.volts() * 1.2 / 1000;
    }

    private void water() {
        double wanted = 0;
        for (int cell = 1; cell <= cells.cells(); cell++) {
            wanted += cells.toMark(cell);
        }
        cells.pour(wanted / cells.cells());
    }
}
