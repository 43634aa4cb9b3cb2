package org.ostendum.standins;

import java.time.Duration;
import org.ostendum.core.device.CartStatus;

/** A cart with purified water and a meter in its hose. */
final class WaterCart {
    private static final double PER_MINUTE = 900;
    private static final long TANK = 100_000;

    private double wanted;
    private double poured;
    private double left = TANK;
    private boolean flows;

    /** @param millilitres let out from now on, as fast as the hose lets them */
    void pour(double millilitres) {
        wanted += millilitres;
    }

    void pass(Duration time) {
        double now = Math.min(wanted, PER_MINUTE * time.toMillis() / 60_000.0);
        wanted -= now;
        poured += now;
        left = left < now ? TANK : left - now;
        flows = now > 0;
    }

    CartStatus status(int beat) {
        return new CartStatus(beat, Math.round(poured), flows ? (int) PER_MINUTE : 0, Math.round(left));
    }
}
