package org.ostendum.app.device;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.rulebook.Rules;

/**
 * What is known of a charge from the ledger, once for all the readings of it.
 *
 * @param taken Ah out before it; null where nobody knows
 * @param whole how long it should take
 */
public record ExpectedCharge(Battery battery, Rules rules, @Nullable Double taken, TimeToFull.Estimate whole) {}
