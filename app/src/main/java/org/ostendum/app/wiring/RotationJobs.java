package org.ostendum.app.wiring;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.job.Swaps;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.StepText;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.TapRelief;
import org.springframework.stereotype.Component;

/** Blocks under a tap change places with others: a step for each pair. Practice {@code pack.taps}. */
@Component
class RotationJobs implements SpecialJob {
    private static final String AFTER = "apart";

    private final Packs packs;
    private final StringCheck string;

    RotationJobs(Packs packs, StringCheck string) {
        this.packs = packs;
        this.string = string;
    }

    @Override
    public boolean isOf(String procedure) {
        return procedure.equals("rotate-blocks");
    }

    /** Without a tap all blocks work alike. */
    @Override
    public boolean suits(@Nullable Battery battery) {
        return battery != null
                && packs.of(battery).filter(pack -> !pack.taps().isEmpty()).isPresent();
    }

    @Override
    public ProcedureFile written(ProcedureFile file, Begun begun) {
        return packs.of(begun.battery())
                .map(pack -> file.withAfter(AFTER, swaps(pack)))
                .orElse(file);
    }

    private static List<StepText> swaps(Pack pack) {
        return TapRelief.swaps(pack.taps(), pack.blocks()).stream()
                .map(swap -> StepText.held(
                        Swaps.step(swap.tapped(), swap.other(), pack.blocks()),
                        "Block " + swap.tapped() + " goes to place " + swap.other() + ", block " + swap.other()
                                + " to place " + swap.tapped() + ". Lifting strap, two people.",
                        "Both stand in their new place, facing as the drawing has that place"))
                .toList();
    }

    @Override
    public Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        return string.against(run, step, battery, words);
    }

    @Override
    public Optional<Beside> beside(Job job, Run run, Battery battery) {
        return packs.of(battery).map(pack -> new Beside("wiring/swap :: blocks", BlockSwap.of(battery, Swaps.of(run))));
    }
}
