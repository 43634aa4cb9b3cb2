package org.ostendum.web.round;

import java.util.List;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.ostendum.web.job.GateLine;
import org.ostendum.web.job.Situations;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.Person;
import org.ostendum.web.words.Words;
import org.springframework.stereotype.Component;

/**
 * What must hold before caps come off for a round. Water that is not mixed in yet does not stand here: such a round is taken,
 * marked and kept out of judgement by the reading's own doubts.
 */
@Component
class RoundGates {
    private static final List<GateKey> BEFORE_CAPS =
            List.of(GateKey.HAS_CAPS, GateKey.TRAINED, GateKey.STATION_READY, GateKey.UNDAMAGED);

    private final Situations situations;

    RoundGates(Situations situations) {
        this.situations = situations;
    }

    List<GateLine> shut(Battery battery, Person person, Words words) {
        Situation situation = situations.of(Training.BATTERY_CARE, battery, null, person);
        return BEFORE_CAPS.stream()
                .map(gate -> GateLine.of(gate, Gates.ask(gate, situation), words))
                .filter(GateLine::isShut)
                .toList();
    }
}
