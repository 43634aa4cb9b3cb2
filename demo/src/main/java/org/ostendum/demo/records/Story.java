package org.ostendum.demo.records;

import org.ostendum.core.measure.Colour;

/** A fault planted in a simulated battery. Days count from the start of the simulation. */
public sealed interface Story {
    /** A cell that loses gravity steadily against its neighbours. */
    record FailingCell(int cell, int fromDay, double pointsPerMonth) implements Story {}

    /** Cells that drift apart since nobody equalises any more. */
    record NotEqualised(int fromDay) implements Story {}

    /** A charger that stops early, or is the wrong one: full charges end short of full. */
    record Undercharged(int fromDay, int pointsShort) implements Story {}

    /** Cells that stand low at the last round. */
    record Thirsty(int cells) implements Story {}

    /** Plates showing in one cell at the last round. */
    record PlatesShowing(int cell) implements Story {}

    /** Somebody watered before the charge: cells stand over their mark at the last round. */
    record Overfilled(int cells) implements Story {}

    /** The sample of one cell has turned. */
    record Turned(int cell, Colour colour) implements Story {}

    /** The last round was taken straight after watering. */
    record ReadAfterWater() implements Story {}

    /** One digit dropped or swapped in the last round. */
    record SlipOfTheKey(int cell, int pointsOff) implements Story {}

    /** Nobody has taken a round for so many days. */
    record Forgotten(int days) implements Story {}

    /** The last round follows an equalising charge. */
    record EqualisedAtTheEnd() implements Story {}

    /** The last round was taken in the middle of work, so deep. */
    record ReadInService(int percentLeft) implements Story {}
}
