package org.ostendum.core.state.fact;

import org.jspecify.annotations.Nullable;

/**
 * Where a battery is.
 *
 * @param slot words of its slot, null when it is in none
 * @param machine code of the machine it is in, null when in none
 */
public record Place(@Nullable String slot, @Nullable String machine) {
    public static final Place NOWHERE = new Place(null, null);
}
