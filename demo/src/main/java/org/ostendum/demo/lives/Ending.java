package org.ostendum.demo.lives;

import org.ostendum.core.measure.Colour;

/** What the last round of a battery's year shows, beside what its life has made of it. */
public sealed interface Ending {
    /** Cells that stand low. */
    record Thirsty(int cells) implements Ending {}

    /** Plates showing in one cell. */
    record PlatesShowing(int cell) implements Ending {}

    /** Somebody watered before the charge: cells stand over their mark. */
    record Overfilled(int cells) implements Ending {}

    /** The sample of one cell has turned. */
    record Turned(int cell, Colour colour) implements Ending {}

    /** The round was taken straight after watering. */
    record ReadAfterWater() implements Ending {}

    /** One digit dropped or swapped. */
    record SlipOfTheKey(int cell, int pointsOff) implements Ending {}

    /** Nobody has taken a round for so many days. */
    record Forgotten(int days) implements Ending {}

    /** The round follows an equalising charge, and is taken with care: each sample is drawn twice. */
    record EqualisedAtTheEnd() implements Ending {}

    /** The round was taken in the middle of work, with so much left. */
    record ReadInService(int percentLeft) implements Ending {}
}
