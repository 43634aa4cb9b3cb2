package org.ostendum.core.quantity;

/** A value that the quantity can never have; carries what was given and what is allowed so that a message can say so. */
public final class OutOfRange extends IllegalArgumentException {
    private final String quantity;
    private final double value;
    private final double least;
    private final double most;

    public OutOfRange(String quantity, double value, double least, double most) {
        super(quantity + " is " + value + ", allowed is " + least + " to " + most);
        this.quantity = quantity;
        this.value = value;
        this.least = least;
        this.most = most;
    }

    /** @throws OutOfRange unless {@code least <= value <= most} */
    public static void check(String quantity, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new OutOfRange(quantity, value, least, most);
        }
    }

    public String quantity() {
        return quantity;
    }

    public double value() {
        return value;
    }

    public double least() {
        return least;
    }

    public double most() {
        return most;
    }
}
