package org.ostendum.core.state.fact;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.ChargeKind;

/**
 * A charge under way.
 *
 * @param charger its code; null where nobody has said
 */
public record OnCharge(Instant since, ChargeKind kind, @Nullable String charger) {}
