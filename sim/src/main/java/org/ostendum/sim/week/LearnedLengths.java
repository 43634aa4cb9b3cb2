package org.ostendum.sim.week;

import java.util.HashMap;
import java.util.Map;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PoolBattery;

/** How long charges take in this room, as a house has learned it from many: a line over what was missing that one in twenty passes. */
final class LearnedLengths {
    private static final double SHALLOW = 0.3;
    private static final double DEEP = 0.65;
    /** Deviations of the normal distribution that one in twenty passes. */
    private static final double ONE_IN_TWENTY = 1.645;

    /** The current varies, and so does what is taken out: as far as the bulk of a charge goes with it. */
    private static final double SPREAD = Math.hypot(LivedBattery.CURRENT_SPREAD, 0.6 * Accidents.AH_SPREAD);

    private final Map<String, double[]> lines = new HashMap<>();

    Pairing of(Pairing pair, PoolBattery battery) {
        double[] line = lines.computeIfAbsent(battery.volts() + " " + battery.capacityAh(), any -> line(battery));
        return new Pairing(pair.battery(), pair.charger(), line[0], line[1], SPREAD);
    }

    /** Minutes an Ah and minutes to finish. */
    private static double[] line(PoolBattery battery) {
        double late = Math.exp(ONE_IN_TWENTY * SPREAD);
        double shallow = minutes(battery, SHALLOW) * late;
        double deep = minutes(battery, DEEP) * late;
        double slope = (deep - shallow) / ((DEEP - SHALLOW) * battery.capacityAh());
        return new double[] {slope, Math.max(15, shallow - slope * SHALLOW * battery.capacityAh())};
    }

    private static int minutes(PoolBattery sheet, double part) {
        LivedBattery battery = new LivedBattery(sheet, 0);
        battery.takeOut(part * sheet.capacityAh());
        battery.beginCharge(1);
        int minutes = 1;
        while (!battery.chargeMinute(false).ended()) {
            minutes++;
        }
        return minutes;
    }
}
