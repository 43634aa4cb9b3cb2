package org.ostendum.app.job;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Procedure.Subject;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Component;

/** Every gate of every job of a battery, as it stands now for a person; a round of readings counts as a job. */
@Component
public class BatteryGatesOf {
    /** What must hold before caps come off for a round. */
    public static final List<GateKey> BEFORE_ROUND = List.of(
            GateKey.HAS_CAPS,
            GateKey.TRAINED,
            GateKey.STATION_READY,
            GateKey.COMMISSIONED,
            GateKey.UNDAMAGED,
            GateKey.NOT_CHARGING,
            GateKey.MIXED_BEFORE_ROUND);

    private final SiteProcedures procedures;
    private final Situations situations;
    private final JobViews views;

    BatteryGatesOf(SiteProcedures procedures, Situations situations, JobViews views) {
        this.procedures = procedures;
        this.situations = situations;
        this.views = views;
    }

    /** The gates of one job, by the id of its procedure, or {@code round}. */
    public record OfJob(String job, List<GateLine> gates) {}

    public List<OfJob> of(Battery battery, Person person, Words words) {
        Situation situation = situations.of(Training.BATTERY_CARE, battery, null, person);
        List<OfJob> all = new ArrayList<>();
        for (Procedure procedure : procedures.all()) {
            if (procedure.subject() == Subject.BATTERY
                    && procedure.isFor(battery.type().model().duty())) {
                all.add(new OfJob(procedure.id(), views.gates(procedure, situation, words)));
            }
        }
        all.add(new OfJob("round", beforeRound(situation, words)));
        return all;
    }

    /** @return what the gates before a round say */
    public static List<GateLine> beforeRound(Situation situation, Words words) {
        return BEFORE_ROUND.stream()
                .map(gate -> GateLine.of(gate, Gates.ask(gate, situation), words))
                .toList();
    }
}
