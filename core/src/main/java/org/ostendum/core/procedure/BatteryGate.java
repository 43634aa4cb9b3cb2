package org.ostendum.core.procedure;

/** A gate that looks at the battery; a job on the room passes it. */
interface BatteryGate extends Gate {
    @Override
    default GateOutcome ask(Situation situation) {
        return situation.battery() == null ? GateOutcome.OPEN : ask(situation, situation.battery());
    }

    GateOutcome ask(Situation situation, Situation.BatteryFacts battery);
}
