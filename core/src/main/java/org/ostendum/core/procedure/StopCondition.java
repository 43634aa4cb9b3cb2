package org.ostendum.core.procedure;

import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.defect.DefectKind;

/**
 * What ends a job early.
 *
 * @param text what is seen, smelt or measured
 * @param then what to do, in order
 * @param procedure the job that follows, such as the spill's; null for none
 * @param defect what is left open against the battery; null for nothing
 */
public record StopCondition(
        String id, String text, List<String> then, @Nullable String procedure, @Nullable DefectKind defect) {
    public StopCondition {
        then = List.copyOf(then);
    }

    StopCondition said(UnaryOperator<String> anew) {
        return new StopCondition(id, anew.apply(text), then.stream().map(anew).toList(), procedure, defect);
    }
}
