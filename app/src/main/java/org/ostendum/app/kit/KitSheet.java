package org.ostendum.app.kit;

import org.ostendum.app.draw.KitDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.core.state.BatteryState;

/** The kit of a battery drawn as its state knows it. */
final class KitSheet {
    private KitSheet() {}

    static KitDrawing of(Battery battery, BatteryState state) {
        return KitDrawing.of(
                battery.layout(), battery.type().cablesLeft(), state.kit().probe(), state.stuckInjectors());
    }

    /** The same beside the steps of a job. */
    static SpecialJob.Beside beside(Battery battery, BatteryState state) {
        return new SpecialJob.Beside("kit/drawn :: kit", of(battery, state));
    }
}
