package org.ostendum.core.judge.question;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Message;

/** What a finding about one low cell rests on, and how it is told. */
final class CellEvidence {
    private CellEvidence() {}

    /** @return on charge, above the median of the cells; null where voltages were not read */
    static @Nullable Integer millivoltsAbove(Case battery, int cell) {
        OptionalDouble above = battery.chargeVolts().above(cell);
        return above.isPresent() ? (Integer) (int) Math.round(above.getAsDouble()) : null;
    }

    /** The fall or the distance, then what tells its cause, or what would. */
    static Message why(Case battery, CellCause cause, int cell, Message gravities) {
        return why(battery, cause, cell, gravities, false);
    }

    /** @param proved whether an equalised battery shows it, so that reading it again would tell nothing new */
    static Message why(Case battery, CellCause cause, int cell, Message gravities, boolean proved) {
        var volts = battery.chargeVolts().above(cell);
        if (volts.isEmpty()) {
            return cause == CellCause.DILUTED
                    ? Message.of("finding.cause.step.why", gravities)
                    : Message.of("finding.cause.no-volts.why", gravities);
        }
        int millivolts = (int) Math.round(volts.getAsDouble());
        String how = proved && cause == CellCause.UNKNOWN ? ".proved.why" : ".why";
        return Message.of("finding.cause." + cause.code() + how, gravities, Math.abs(millivolts));
    }
}
