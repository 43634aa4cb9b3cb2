package org.ostendum.web.round;

import java.util.List;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.ostendum.web.job.BatteryGatesOf;
import org.ostendum.web.job.GateLine;
import org.ostendum.web.job.Situations;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.Job;
import org.ostendum.web.store.Jobs;
import org.ostendum.web.store.Person;
import org.ostendum.web.words.Words;
import org.springframework.stereotype.Component;

/** What must hold before caps come off for a round. */
@Component
class RoundGates {
    /** The job that a lead goes through the gates with; while it is under way, rounds can be begun. */
    static final String ALL_THE_SAME = "round-after-water";

    private final Situations situations;
    private final Jobs jobs;

    RoundGates(Situations situations, Jobs jobs) {
        this.situations = situations;
        this.jobs = jobs;
    }

    private static boolean opens(Job job) {
        return job.isOpen() && job.procedureId().equals(ALL_THE_SAME);
    }

    List<GateLine> shut(Battery battery, Person person, Words words) {
        if (jobs.ofBattery(battery.id(), 1).stream().anyMatch(RoundGates::opens)) {
            return List.of();
        }
        Situation situation = situations.of(Training.BATTERY_CARE, battery, null, person);
        return BatteryGatesOf.beforeRound(situation, words).stream()
                .filter(GateLine::isShut)
                .toList();
    }
}
