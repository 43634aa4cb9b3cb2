package org.ostendum.core.procedure;

import java.util.List;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Message;
import org.ostendum.core.rulebook.Severity;

/** Gates on the charger a battery is to go on. */
final class ChargerGates {
    private ChargerGates() {}

    /** Voltage, connector, chemistry, the room's air: no argument opens it. */
    static GateOutcome fits(Situation situation) {
        return ask(situation, Severity.STOP, "gate.CHARGER_FITS.remedy");
    }

    /** Size, current, sensing voltage, power: it can be answered for, with a reason. */
    static GateOutcome suits(Situation situation) {
        return ask(situation, Severity.ACT, "gate.CHARGER_SUITS.remedy");
    }

    private static GateOutcome ask(Situation situation, Severity severity, String remedy) {
        if (situation.battery() == null) {
            return GateOutcome.OPEN;
        }
        List<Mismatch> misfits = situation.misfits();
        if (misfits == null) {
            // That nobody has said which charger is asked once, by the graver of the two.
            return severity == Severity.STOP
                    ? new GateOutcome.Unknown(Message.of("gate.CHARGER_FITS.unknown"))
                    : GateOutcome.OPEN;
        }
        return misfits.stream()
                .filter(m -> m.severity() == severity)
                .findFirst()
                .map(m -> GateOutcome.shut(
                        m.sentence(),
                        Message.of(remedy),
                        m.kind() == Mismatch.Kind.LOCKOUT ? "recover" : null,
                        new Figure("misfit", m.kind().name())))
                .orElse(GateOutcome.OPEN);
    }
}
