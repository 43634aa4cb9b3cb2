package org.ostendum.core.rulebook;

import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Somebody set a rule for the site or for one model.
 *
 * @param modelCode null for the whole site
 * @param value null when the setting was taken back
 */
public record RuleChange(
        RuleKey rule,
        @Nullable Long modelId,
        @Nullable String modelCode,
        @Nullable BigDecimal value,
        String reason,
        String person,
        Instant at) {}
