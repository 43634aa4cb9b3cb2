package org.ostendum.app.kit;

import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.springframework.stereotype.Component;

/** A kit that is on is looked over or taken off; what comes off is counted. */
@Component
class FittedKit implements SpecialJob {
    private final BatteryStates states;

    FittedKit(BatteryStates states) {
        this.states = states;
    }

    @Override
    public boolean isOf(String procedure) {
        return Set.of("kit-look", "kit-off").contains(procedure);
    }

    @Override
    public boolean suits(@Nullable Battery battery) {
        return battery == null || states.stateOf(battery).kit().isOn();
    }

    /** An injector that is left behind floats about over the plates. */
    @Override
    public Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        int cells = battery.type().model().cells();
        boolean counted = step.id().equals("out") && Double.parseDouble(value) != cells;
        return counted ? Optional.of(words.text("water-kit.fault.count", value, cells)) : Optional.empty();
    }

    @Override
    public Optional<Beside> beside(Job job, Run run, Battery battery) {
        return Optional.of(KitSheet.beside(battery, states.stateOf(battery)));
    }
}
