package org.ostendum.core.water;

import java.time.Duration;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.OutOfRange;

/** Water that overcharge splits: 0.336 g for each Ah and cell. Source: Faraday's law; Bode, Lead-Acid Batteries. */
public final class WaterUse {
    /** kg for each Ah of overcharge and cell. */
    public static final double WATER_PER_AH = 0.000336;

    private static final int MOST_CELLS = 144;

    private WaterUse() {}

    /**
     * @param overcharge what went in beyond what had been taken out
     * @return water of the whole battery
     */
    public static Litres of(int cells, AmpHours overcharge) {
        OutOfRange.check("cells", cells, 1, MOST_CELLS);
        return new Litres(cells * overcharge.ampHours() * WATER_PER_AH);
    }

    /**
     * @param reserve water between the marks of one cell
     * @param overcharge of one cycle
     * @param ageing factor on what a new cell takes: 1 new, about 2 at the end of life (rule of thumb), 1 to 4
     * @param cyclesPerDay 0.01 to 3
     * @return how long the reserve lasts
     */
    public static Duration reserveLasts(Litres reserve, AmpHours overcharge, double ageing, double cyclesPerDay) {
        OutOfRange.check("ageing", ageing, 1, 4);
        OutOfRange.check("cycles a day", cyclesPerDay, 0.01, 3);
        OutOfRange.check("overcharge", overcharge.ampHours(), 0.1, AmpHours.MOST);
        double perDay = overcharge.ampHours() * WATER_PER_AH * ageing * cyclesPerDay;
        return Duration.ofSeconds(Math.round(reserve.litres() / perDay * 86_400));
    }
}
