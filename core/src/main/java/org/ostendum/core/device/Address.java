package org.ostendum.core.device;

import org.ostendum.core.quantity.OutOfRange;

/**
 * Where on a line a block begins.
 *
 * @param unit 1 to 247
 * @param register of the block's first word, 0 to 65535
 */
public record Address(int unit, int register) {
    /** From one block of the stand-ins' bank to the next. */
    private static final int STRIDE = 16;

    public Address {
        OutOfRange.check("unit", unit, 1, 247);
        OutOfRange.check("register", register, 0, 65_535);
    }

    /** @param place in the stand-ins' bank, from 0 */
    public static Address ofCharger(int place) {
        return new Address(1, place * STRIDE);
    }

    /** @param number of the tag, 0 to 4095 */
    public static Address ofTag(long number) {
        return new Address(2, (int) number * STRIDE);
    }

    public static Address ofAir() {
        return new Address(3, 0);
    }

    public static Address ofCart() {
        return new Address(4, 0);
    }

    /** Where a load bank is read, and told what to do by the same address written to. */
    public static Address ofLoadBank() {
        return new Address(5, 0);
    }

    /** Where the stand-ins are told what hands do. */
    public static Address ofHands() {
        return new Address(9, 0);
    }

    /** @return number of the block of the stand-ins' bank that begins here, -1 for none */
    public int block() {
        return register % STRIDE == 0 ? register / STRIDE : -1;
    }
}
