package org.ostendum.app.wiring;

import java.util.Optional;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.springframework.stereotype.Component;

/** The last link stays off while anything that the voltmeter says of blocks and string speaks against it. */
@Component
class StringCheck {
    private final Packs packs;

    StringCheck(Packs packs) {
        this.packs = packs;
    }

    /** @return what speaks against settling a step; empty also for a step that reads no volts */
    Optional<String> against(Run run, Step step, Battery battery, Words words) {
        if (!(step.task() instanceof Task.Rows rows) || rows.kind() != Task.Rows.Kind.BLOCK_VOLTS) {
            return Optional.empty();
        }
        return packs.of(battery)
                .flatMap(pack -> Rows.packVolts(run, pack).faults().stream().findFirst())
                .map(fault -> words.text("job.fault.rows", words.say(fault)));
    }
}
