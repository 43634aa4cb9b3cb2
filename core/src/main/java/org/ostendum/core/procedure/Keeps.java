package org.ostendum.core.procedure;

import java.util.List;
import java.util.Optional;
import org.ostendum.core.judge.Message;
import org.ostendum.core.procedure.Situation.Subject;

/** What keeps a battery from work or from charge, whoever asks and whatever is planned with it: in the words of its own gates. */
public final class Keeps {
    /** What decides about the battery first, then what can be put right at it. */
    private static final List<BatteryGate> FIRST_TO_LAST = List.of(
            BatteryGates::notRetired,
            BatteryGates::commissioned,
            BatteryGates::notHeld,
            BatteryGates::notInHand,
            BatteryGates::undamaged,
            BatteryGates::platesCovered,
            BatteryGates::notOverMark,
            Keeps::noStopFinding,
            ChargeGates::notHot,
            BatteryGates::soundForCharge,
            BatteryGates::soundForWork,
            BatteryGates::allCells);

    private Keeps() {}

    /** What is found of a battery is said on its own page, and names it nowhere else. */
    private static GateOutcome noStopFinding(Subject battery) {
        return BatteryGates.noStopFinding(battery) instanceof GateOutcome.Shut shut
                ? new GateOutcome.Shut(
                        Message.of("keeps.finding", battery.code(), shut.why()),
                        shut.remedy(),
                        shut.opensBy(),
                        shut.evidence())
                : GateOutcome.OPEN;
    }

    /** @return why it may not, by the first gate that is shut; empty where none is */
    public static Optional<Message> why(Subject battery) {
        return FIRST_TO_LAST.stream()
                .map(gate -> gate.ask(battery))
                .filter(GateOutcome.Shut.class::isInstance)
                .map(outcome -> ((GateOutcome.Shut) outcome).why())
                .findFirst();
    }
}
