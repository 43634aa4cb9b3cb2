package org.ostendum.web.room;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Severity;
import org.ostendum.web.draw.Box;

/**
 * One place of the plan as drawn.
 *
 * @param code of the battery; null where none is
 * @param machine code of the machine it is in; null on a stand
 * @param severity its mark
 * @param word its state in a word or two
 * @param full whether it has been charged to the end and not worked since
 * @param charger label of the charger above; null for none
 * @param number stencilled on the slot
 */
public record Tile(
        Box box,
        @Nullable String code,
        @Nullable String machine,
        Severity severity,
        String word,
        boolean full,
        @Nullable ChargerPlate charger,
        int number) {

    /** The charger above a slot as drawn. */
    public record ChargerPlate(Box box, String label, boolean on) {}
}
