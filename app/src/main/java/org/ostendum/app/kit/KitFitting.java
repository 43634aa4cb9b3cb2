package org.ostendum.app.kit;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.water.InjectorKind;
import org.springframework.stereotype.Component;

/** A kit is fitted: drawn beside the steps, its injectors held against those of the model. Practice {@code water.how}. */
@Component
class KitFitting implements SpecialJob {
    private static final String FIT = "kit-fit";

    private final BatteryStates states;
    private final KitKinds kinds;

    KitFitting(BatteryStates states, KitKinds kinds) {
        this.states = states;
        this.kinds = kinds;
    }

    @Override
    public boolean isOf(String procedure) {
        return procedure.equals(FIT);
    }

    @Override
    public boolean suits(@Nullable Battery battery) {
        return battery == null || battery.type().model().kind().hasCaps();
    }

    @Override
    public Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        return switch (step.id()) {
            case "injector" -> injector(value, battery, words);
            case "probe" -> probe(value, battery, words);
            default -> Optional.empty();
        };
    }

    private Optional<String> injector(String value, Battery battery, Words words) {
        return kinds.usualOf(battery)
                .filter(usual -> !value.isBlank() && !InjectorKind.isMeant(value, usual))
                .map(usual -> words.text(
                        "water-kit.fault.injector", battery.type().code(), usual, InjectorKind.fitted(value)));
    }

    private static Optional<String> probe(String value, Battery battery, Words words) {
        int cells = battery.type().model().cells();
        return value.isEmpty() || Double.parseDouble(value) <= cells
                ? Optional.empty()
                : Optional.of(words.text("water-kit.fault.probe", value, cells));
    }

    @Override
    public Optional<Beside> beside(Job job, Run run, Battery battery) {
        return Optional.of(KitSheet.beside(battery, states.stateOf(battery)));
    }
}
