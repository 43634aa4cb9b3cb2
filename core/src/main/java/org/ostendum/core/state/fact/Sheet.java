package org.ostendum.core.state.fact;

import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.rulebook.Rules;

/** What is known of a battery before anything happens to it: its maker's sheet and the rules in force. */
public record Sheet(BatteryModel model, Rules rules) {
    /** @return rated capacity, Ah */
    public double capacity() {
        return model.capacity().ampHours();
    }
}
