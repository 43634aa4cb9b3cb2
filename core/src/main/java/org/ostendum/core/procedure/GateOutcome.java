package org.ostendum.core.procedure;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Message;

/** What a gate says. */
public sealed interface GateOutcome {
    /** Nothing stands against it. */
    record Open() implements GateOutcome {}

    /**
     * It may not be done now.
     *
     * @param why with its figures
     * @param remedy what opens the gate
     * @param opensBy the procedure that does; null where none does
     * @param evidence what it rests on
     */
    record Shut(Message why, Message remedy, @Nullable String opensBy, List<Figure> evidence) implements GateOutcome {
        public Shut {
            evidence = List.copyOf(evidence);
        }
    }

    /** The state is not on record: somebody has to look. */
    record Unknown(Message look) implements GateOutcome {}

    GateOutcome OPEN = new Open();

    static GateOutcome shut(Message why, Message remedy, @Nullable String opensBy, Figure... evidence) {
        return new Shut(why, remedy, opensBy, List.of(evidence));
    }
}
