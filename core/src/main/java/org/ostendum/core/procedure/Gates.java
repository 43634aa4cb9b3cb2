package org.ostendum.core.procedure;

import java.util.EnumMap;
import java.util.Map;

/** Asks the gates. */
public final class Gates {
    private static final Map<GateKey, Gate> ALL = new EnumMap<>(GateKey.class);

    static {
        ALL.put(GateKey.TRAINED, PersonAndRoomGates::trained);
        ALL.put(GateKey.STATION_READY, PersonAndRoomGates::stationReady);
        ALL.put(GateKey.FAN_ON, PersonAndRoomGates::fanOn);
        ALL.put(GateKey.CHARGER_FITS, ChargerGates::fits);
        ALL.put(GateKey.CHARGER_SUITS, ChargerGates::suits);
        battery(GateKey.UNDAMAGED, BatteryGates::undamaged);
        battery(GateKey.HAS_CAPS, BatteryGates::hasCaps);
        battery(GateKey.NOT_CHARGING, BatteryGates::notCharging);
        battery(GateKey.FULL_BEFORE_WATER, BatteryGates::fullBeforeWater);
        battery(GateKey.MIXED_BEFORE_ROUND, BatteryGates::mixedBeforeRound);
        battery(GateKey.PLATES_COVERED, BatteryGates::platesCovered);
        battery(GateKey.NOT_HOT, BatteryGates::notHot);
        battery(GateKey.NOT_FROZEN, BatteryGates::notFrozen);
        battery(GateKey.COOLED, BatteryGates::cooled);
        battery(GateKey.NO_STOP_FINDING, BatteryGates::noStopFinding);
        battery(GateKey.RIGHT_WEIGHT, BatteryGates::rightWeight);
    }

    private Gates() {}

    private static void battery(GateKey key, BatteryGate gate) {
        ALL.put(key, gate);
    }

    /** @return what the gate says of the situation */
    public static GateOutcome ask(GateKey key, Situation situation) {
        Gate gate = ALL.get(key);
        if (gate == null) {
            throw new IllegalStateException("No gate " + key);
        }
        return gate.ask(situation);
    }

    /** @return what every gate of a procedure says, its training first, in the procedure's order */
    public static Map<GateKey, GateOutcome> ask(Procedure procedure, Situation at) {
        Situation situation = at.needing(procedure.training());
        Map<GateKey, GateOutcome> outcomes = new EnumMap<>(GateKey.class);
        outcomes.put(GateKey.TRAINED, ask(GateKey.TRAINED, situation));
        procedure.gates().forEach(key -> outcomes.put(key, ask(key, situation)));
        return outcomes;
    }
}
