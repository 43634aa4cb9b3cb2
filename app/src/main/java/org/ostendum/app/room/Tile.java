package org.ostendum.app.room;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Box;
import org.ostendum.app.words.Words;
import org.ostendum.core.rulebook.Severity;

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
    private static final double ROOM_FOR_TWO_CODES = 90;

    /** Whether the machine's code fits beside the battery's. */
    public boolean namesMachine() {
        return machine != null && box.width() > ROOM_FOR_TWO_CODES;
    }

    /** What a screen reader says of it. */
    public String aloud(Words words) {
        return code + (machine == null ? "" : ", " + machine) + ", " + words.name(severity) + ", " + word;
    }

    /** The charger above a slot as drawn. */
    public record ChargerPlate(Box box, String label, boolean on) {}
}
