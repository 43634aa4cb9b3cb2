package org.ostendum.core.device;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * What somebody does with his hands in the room. Real equipment has no such registers: stand-ins, at which nobody stands,
 * are told of it in the same form.
 *
 * @param place of the charger in the bank, from 0; for POUR the tag's number decides
 * @param tag number of the battery that is plugged in or filled
 * @param cells of it
 * @param capacity of it, tenths of an Ah
 * @param emptyPoints gravity of its sheet when empty, points
 * @param fullPoints when full
 * @param missing charge missing, thousandths of the capacity
 * @param amperes tenths; 0 for what the charger gives by itself
 * @param minutes after which it is ended; 0 for none. For PLUG without {@code amperes}: how long ago it was plugged in
 * @param millilitres poured into each cell
 */
public record HandOrder(
        Act act,
        int place,
        long tag,
        int cells,
        int capacity,
        int emptyPoints,
        int fullPoints,
        int missing,
        int amperes,
        int minutes,
        int millilitres) {
    public static final int LENGTH = 13;

    private static final int MARK = 0x0575;
    private static final List<Act> ACTS =
            List.of(Act.PLUG, Act.UNPLUG, Act.POUR, Act.FAN_ON, Act.FAN_OFF, Act.MEASURE, Act.CLAMP);

    public enum Act {
        PLUG,
        UNPLUG,
        POUR,
        FAN_ON,
        FAN_OFF,
        /** All cells with the handheld hydrometer, into its memory. */
        MEASURE,
        /** The load bank's clamps onto the battery's posts and cells. */
        CLAMP
    }

    /** An act that needs no battery. */
    public static HandOrder of(Act act, int place) {
        return new HandOrder(act, place, 0, 0, 0, 0, 0, 0, 0, 0, 0);
    }

    public static HandOrder pour(long tag, int millilitresEach) {
        return new HandOrder(Act.POUR, 0, tag, 0, 0, 0, 0, 0, 0, 0, millilitresEach);
    }

    public static HandOrder measure(long tag) {
        return new HandOrder(Act.MEASURE, 0, tag, 0, 0, 0, 0, 0, 0, 0, 0);
    }

    /** @return the same, begun so long ago: what has been charged meanwhile is charged */
    public HandOrder begun(Duration ago) {
        return new HandOrder(
                act,
                place,
                tag,
                cells,
                capacity,
                emptyPoints,
                fullPoints,
                missing,
                0,
                (int) ago.toMinutes(),
                millilitres);
    }

    public int[] registers() {
        return RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(act, ACTS)
                .put(place)
                .putLong(tag)
                .put(cells)
                .put(capacity)
                .put(emptyPoints)
                .put(fullPoints)
                .put(missing)
                .put(amperes)
                .put(minutes)
                .put(millilitres)
                .written();
    }

    public static Optional<HandOrder> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        HandOrder order = new HandOrder(
                words.oneOf(ACTS),
                words.word(),
                words.doubleWord(),
                words.word(),
                words.word(),
                words.word(),
                words.word(),
                words.word(),
                words.word(),
                words.word(),
                words.word());
        boolean needsBattery = order.act == Act.PLUG || order.act == Act.CLAMP;
        words.expect(!needsBattery || (order.cells >= 1 && order.cells <= 144 && order.capacity > 0));
        words.expect(order.missing <= 950);
        return words.isSound() ? Optional.of(order) : Optional.empty();
    }
}
