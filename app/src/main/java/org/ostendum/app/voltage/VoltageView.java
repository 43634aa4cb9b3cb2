package org.ostendum.app.voltage;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.voltage.VoltageViews.Read;
import org.ostendum.core.voltage.VoltageRound.Load;

/**
 * The voltages of a battery where they stand.
 *
 * @param rest read last at rest
 * @param load read last under load
 * @param beside the round whose gravities voltages on charge are judged beside; null for none of late
 */
record VoltageView(Battery battery, @Nullable Read rest, @Nullable Read load, @Nullable ClosedRound beside) {
    public VoltageDrawing on() {
        return VoltageDrawing.of(battery, rest, load);
    }

    public Load[] loads() {
        return Load.values();
    }

    /** @return of the two what was read later */
    public @Nullable Read newest() {
        if (rest == null || load == null) {
            return rest == null ? load : rest;
        }
        return rest.round().takenAt().isAfter(load.round().takenAt()) ? rest : load;
    }
}
