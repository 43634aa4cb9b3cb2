package org.ostendum.core.safety;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One thing that belongs into a spill kit.
 *
 * @param isThere whether it lay in the kit when last looked at
 * @param expires the date printed on it, null where it does not expire
 */
public record KitItem(String name, boolean isThere, @Nullable LocalDate expires) {

    /** @return whether it can be used on a day; a thing is good through the date printed on it */
    public boolean isGood(LocalDate today) {
        return isThere && !isPast(today);
    }

    public boolean isPast(LocalDate today) {
        return expires != null && expires.isBefore(today);
    }
}
