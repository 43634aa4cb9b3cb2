package org.ostendum.sim;

/**
 * Something planted in a simulated battery: from a day on, with a strength. Parts are of rated capacity.
 */
public sealed interface Fault {
    /** The first day on which it works, counted from 0. */
    int fromDay();

    /** A leak inside one cell that grows, in parts a day for each day gone by. */
    record SoftShort(int cell, int fromDay, double growth) implements Fault {}

    /** Hard sulfate builds up in one cell, in parts a day. */
    record SulfatedCell(int cell, int fromDay, double perDay) implements Fault {}

    /** The same in every cell: the battery stood flat, or was never charged to the end. */
    record SulfatedBattery(int fromDay, double perDay) implements Fault {}

    /** Plate material falls off one cell and bridges its plates: it loses plates and leaks, in parts a day. */
    record SheddingCell(int cell, int fromDay, double perDay) implements Fault {}

    /** Overfilled, one cell spilt acid on the next charge: that part of its acid is gone. */
    record Spilt(int cell, int fromDay, double part) implements Fault {}

    /** One cell loses water that nobody sees go: a crack, a cap left off. Grams a day for each Ah. */
    record DryingCell(int cell, int fromDay, double perDay) implements Fault {}

    /** The wrong charger: it finishes with so many times the right current and charge. */
    record WrongCharger(int fromDay, double times) implements Fault {}

    /** The charger stops while this part of capacity is still missing. */
    record EarlyStop(int fromDay, double left) implements Fault {}

    /** The gas of a charge stirs the acid only so much: tall cells, or a charger that holds too low a voltage. */
    record PoorMixing(int fromDay, double part) implements Fault {}

    /** A small load is tapped off some of the cells, in parts a day. */
    record Tap(int firstCell, int lastCell, int fromDay, double perDay) implements Fault {}

    /** A dirty, damp top drains every cell, in parts a day. */
    record DirtyTop(int fromDay, double perDay) implements Fault {}

    /** No fault but its remedy: the cell was taken out and a sound one put in, and the ledger says so. */
    record Replaced(int cell, int fromDay) implements Fault {}

    /** The plates wear out, in parts a day. */
    record WearOut(int fromDay, double perDay) implements Fault {}

    /** The joint behind a cell has worked loose or corroded: so many milliohms more in the current's way. */
    record BadJoint(int cell, int fromDay, double milliohms) implements Fault {}

    /** Cells of one block connected the wrong way round. */
    record ReversedBlock(int firstCell, int lastCell, int fromDay) implements Fault {}
}
