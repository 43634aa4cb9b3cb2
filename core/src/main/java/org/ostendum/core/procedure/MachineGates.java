package org.ostendum.core.procedure;

import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Message;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.procedure.Situation.Target;

/** Gates on the machine a battery is to go into. */
final class MachineGates {

    private MachineGates() {}

    /** A battery of another voltage or connector never goes in, whatever is argued. */
    static GateOutcome rightVoltage(Situation situation) {
        Subject battery = situation.battery();
        Target into = situation.into();
        if (battery == null) {
            return GateOutcome.OPEN;
        } else if (into == null || into.volts() == null) {
            return into == null
                    ? new GateOutcome.Unknown(Message.of("gate.RIGHT_VOLTAGE.none", battery.code()))
                    : new GateOutcome.Unknown(Message.of("gate.RIGHT_VOLTAGE.unknown", battery.code(), into.machine()));
        }
        int volts = battery.state().model().nominalVolts();
        if (into.volts() != volts) {
            return GateOutcome.shut(
                    Message.of("gate.RIGHT_VOLTAGE.shut", battery.code(), volts, into.machine(), into.volts()),
                    Message.of("gate.RIGHT_VOLTAGE.remedy"),
                    null,
                    new Figure("volts", volts));
        }
        boolean otherConnector = !into.connector().isEmpty()
                && !battery.connector().isEmpty()
                && !into.connector().equals(battery.connector());
        return otherConnector
                ? GateOutcome.shut(
                        Message.of(
                                "gate.RIGHT_VOLTAGE.connector",
                                battery.code(),
                                battery.connector(),
                                into.machine(),
                                into.connector()),
                        Message.of("gate.RIGHT_VOLTAGE.remedy"),
                        null,
                        new Figure("connector", battery.connector()))
                : GateOutcome.OPEN;
    }

    /** The battery is the counterweight: too light is as wrong as too heavy. */
    static GateOutcome rightWeight(Situation situation) {
        Subject battery = situation.battery();
        Target into = situation.into();
        if (battery == null
                || into == null
                || into.plate() == null
                || into.plate().allows(battery.weightKg())) {
            return GateOutcome.OPEN;
        }
        if (battery.weightKg() == 0) {
            return GateOutcome.shut(
                    Message.of("gate.RIGHT_WEIGHT.unknown", battery.code(), into.machine()),
                    Message.of("gate.RIGHT_WEIGHT.weigh"),
                    null);
        }
        return GateOutcome.shut(
                Message.of(
                        "gate.RIGHT_WEIGHT.shut",
                        battery.code(),
                        battery.weightKg(),
                        into.machine(),
                        into.plate().fromKg(),
                        into.plate().toKg()),
                Message.of("gate.RIGHT_WEIGHT.remedy"),
                null,
                new Figure("weightKg", battery.weightKg()));
    }

    /** A heavy battery that slides breaks its cables, and throws the truck about in a bend. What nobody has measured is looked at. */
    static GateOutcome rightSize(Situation situation) {
        Subject battery = situation.battery();
        Target into = situation.into();
        if (battery == null || into == null || battery.size() == null || into.bay() == null) {
            return GateOutcome.OPEN;
        }
        CaseSize size = battery.size();
        CaseSize bay = into.bay();
        if (size.sitsIn(bay)) {
            return GateOutcome.OPEN;
        }
        String how = size.fits(bay) ? "loose" : "shut";
        return GateOutcome.shut(
                Message.of(
                        "gate.RIGHT_SIZE." + how,
                        battery.code(),
                        size.text(),
                        into.machine(),
                        bay.text(),
                        size.play(bay)),
                Message.of("gate.RIGHT_SIZE.remedy." + how),
                null,
                new Figure("size", size.text()));
    }

    /** One machine holds one battery. */
    static GateOutcome machineFree(Situation situation) {
        Subject battery = situation.battery();
        Target into = situation.into();
        if (battery == null || into == null || into.holds() == null) {
            return GateOutcome.OPEN;
        }
        boolean itself = into.holds().equals(battery.code());
        return GateOutcome.shut(
                Message.of(
                        "gate.MACHINE_FREE." + (itself ? "itself" : "shut"),
                        battery.code(),
                        into.machine(),
                        into.holds()),
                Message.of("gate.MACHINE_FREE.remedy"),
                null,
                new Figure("holds", into.holds()));
    }
}
