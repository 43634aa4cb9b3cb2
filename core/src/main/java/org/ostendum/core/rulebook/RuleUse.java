package org.ostendum.core.rulebook;

import java.math.BigDecimal;

/** A rule and the value it had when it was used. */
public record RuleUse(RuleKey key, BigDecimal value) {}
