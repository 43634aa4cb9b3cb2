package org.ostendum.web.devices;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.store.Battery;

/**
 * What is known of a charge from the ledger, once for all the readings of it.
 *
 * @param taken Ah out before it; null where nobody knows
 * @param whole how long it should take
 */
public record RunFacts(Battery battery, Rules rules, @Nullable Double taken, TimeToFull.Estimate whole) {}
