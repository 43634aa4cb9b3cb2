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
        ALL.put(GateKey.CHANGER_READY, PersonAndRoomGates::changerReady);
        ALL.put(GateKey.CHARGER_FITS, ChargerGates::fits);
        ALL.put(GateKey.CHARGER_SUITS, ChargerGates::suits);
        ALL.put(GateKey.RIGHT_VOLTAGE, MachineGates::rightVoltage);
        ALL.put(GateKey.RIGHT_WEIGHT, MachineGates::rightWeight);
        ALL.put(GateKey.RIGHT_SIZE, MachineGates::rightSize);
        ALL.put(GateKey.MACHINE_FREE, MachineGates::machineFree);
        battery(GateKey.NOT_RETIRED, BatteryGates::notRetired);
        battery(GateKey.UNDAMAGED, BatteryGates::undamaged);
        battery(GateKey.HAS_CAPS, BatteryGates::hasCaps);
        battery(GateKey.COMMISSIONED, BatteryGates::commissioned);
        battery(GateKey.NOT_HELD, BatteryGates::notHeld);
        battery(GateKey.NOT_IN_HAND, BatteryGates::notInHand);
        battery(GateKey.SOUND_FOR_CHARGE, BatteryGates::soundForCharge);
        battery(GateKey.SOUND_FOR_WORK, BatteryGates::soundForWork);
        battery(GateKey.NO_STOP_FINDING, BatteryGates::noStopFinding);
        battery(GateKey.RECHARGED, BatteryGates::recharged);
        battery(GateKey.NOT_STORED, BatteryGates::notStored);
        battery(GateKey.KIT_OFF, BatteryGates::kitOff);
        battery(GateKey.SIGNED, BatteryGates::signed);
        battery(GateKey.ALL_CELLS, BatteryGates::allCells);
        battery(GateKey.PLATES_COVERED, BatteryGates::platesCovered);
        battery(GateKey.NOT_OVER_MARK, BatteryGates::notOverMark);
        battery(GateKey.NOT_CHARGING, ChargeGates::notCharging);
        battery(GateKey.FULL_BEFORE_WATER, ChargeGates::fullBeforeWater);
        battery(GateKey.READINGS_FIRST, ChargeGates::readingsFirst);
        battery(GateKey.MIXED_BEFORE_ROUND, ChargeGates::mixedBeforeRound);
        battery(GateKey.NOT_HOT, ChargeGates::notHot);
        battery(GateKey.NOT_FROZEN, ChargeGates::notFrozen);
        battery(GateKey.JUST_FULL, ChargeGates::justFull);
        battery(GateKey.CHARGED, ChargeGates::charged);
        battery(GateKey.AIRED, ChargeGates::aired);
        battery(GateKey.COOLED, ChargeGates::cooled);
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

    /** @return what every gate of a procedure says, its training first; that a battery has left only where it has */
    public static Map<GateKey, GateOutcome> ask(Procedure procedure, Situation at) {
        Situation situation = at.needing(procedure.training());
        Map<GateKey, GateOutcome> outcomes = new EnumMap<>(GateKey.class);
        outcomes.put(GateKey.TRAINED, ask(GateKey.TRAINED, situation));
        boolean onABattery = procedure.subject() == Procedure.Subject.BATTERY;
        if (onABattery && !procedure.gates().contains(GateKey.COMMISSIONED)) {
            GateOutcome here = ask(GateKey.NOT_RETIRED, situation);
            if (here instanceof GateOutcome.Shut) {
                outcomes.put(GateKey.NOT_RETIRED, here);
            }
        }
        procedure.gates().forEach(key -> outcomes.put(key, ask(key, situation)));
        return outcomes;
    }
}
