package org.ostendum.core.state.fact;

import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.measure.Answer;

/**
 * Whether the battery has been charged to its end and has neither worked nor stood too long since.
 *
 * @param since when it became so; null where nobody knows
 * @param signs what it rests on; those of a charge that came short of evidence stand beside {@code UNKNOWN}
 */
public record Full(Answer value, @Nullable Instant since, Set<FullSign> signs) {
    static final Full NOT_KNOWN = new Full(Answer.UNKNOWN, null, Set.of());

    public Full {
        signs = Set.copyOf(signs);
    }

    public boolean isYes() {
        return value.isYes();
    }

    public boolean isNo() {
        return value.isNo();
    }

    static Full no(Instant since) {
        return new Full(Answer.NO, since, Set.of());
    }

    static Full unknown(Instant since, Set<FullSign> signs) {
        return new Full(Answer.UNKNOWN, since, signs);
    }
}
