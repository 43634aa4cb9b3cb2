package org.ostendum.core.procedure;

import org.ostendum.core.procedure.Situation.Subject;

/** A gate that looks at the battery's state; a job on the room passes it. */
interface BatteryGate extends Gate {
    @Override
    default GateOutcome ask(Situation situation) {
        Subject battery = situation.battery();
        return battery == null ? GateOutcome.OPEN : ask(battery);
    }

    GateOutcome ask(Subject battery);
}
