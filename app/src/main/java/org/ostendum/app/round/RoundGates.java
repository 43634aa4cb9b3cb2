package org.ostendum.app.round;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.BatteryGatesOf;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.Situations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Component;

/** What must hold before caps come off for a round. */
@Component
public class RoundGates {
    /** The job that a lead goes through the gates with; while it is under way, rounds can be begun. */
    static final String ALL_THE_SAME = "round-after-water";

    private final Situations situations;
    private final Jobs jobs;
    private final BatteryStates states;

    RoundGates(Situations situations, Jobs jobs, BatteryStates states) {
        this.situations = situations;
        this.jobs = jobs;
        this.states = states;
    }

    /** @return the gates that stand against a round now, those of its room and of the person among them */
    public List<GateLine> shut(Battery battery, Person person, Words words) {
        return shut(battery, states.stateOf(battery), person, words);
    }

    /** @return the same, of a battery whose state is at hand already */
    public List<GateLine> shut(Battery battery, BatteryState state, Person person, Words words) {
        if (jobs.openOf(ALL_THE_SAME, battery.id()).isPresent()) {
            return List.of();
        }
        Situation situation = situations.inState(Training.BATTERY_CARE, battery, state, person);
        return BatteryGatesOf.beforeRound(situation, words).stream()
                .filter(GateLine::isShut)
                .toList();
    }
}
