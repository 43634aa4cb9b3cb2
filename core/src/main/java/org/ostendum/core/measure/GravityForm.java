package org.ostendum.core.measure;

/** How a person keys a gravity. The form is a setting, never guessed: 1.1xx and 1.2xx are both real readings. */
public enum GravityForm {
    /** The last three digits: {@code 265} is 1.265. */
    THREE_DIGITS(3),
    /** All four: {@code 1265} is 1.265. */
    FOUR_DIGITS(4);

    private final int digits;

    GravityForm(int digits) {
        this.digits = digits;
    }

    /** Digits that complete a reading. */
    public int digits() {
        return digits;
    }

    int points(String digitsTyped) {
        int typed = Integer.parseInt(digitsTyped);
        return this == THREE_DIGITS ? 1000 + typed : typed;
    }
}
