package org.ostendum.app.inventory;

import org.jspecify.annotations.Nullable;

/**
 * A machine that runs on a battery.
 *
 * @param weightFromKg least battery weight of the plate (it is the counterweight), null where it has no plate
 * @param weightToKg most battery weight of the plate
 * @param volts nominal, null where nobody has said
 * @param connector shape and colour in the words of the site, empty where nobody has said
 * @param slotId where it parks, null for nowhere on the plan
 */
public record Machine(
        long id,
        String code,
        String name,
        MachineKind kind,
        @Nullable Integer weightFromKg,
        @Nullable Integer weightToKg,
        @Nullable Integer volts,
        String connector,
        @Nullable Long slotId,
        @Nullable String place) {}
