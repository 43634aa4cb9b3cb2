package org.ostendum.core.change;

/**
 * A lifting beam, the same on both sides of its middle.
 *
 * @param firstMillimetres from its middle to the innermost notch
 * @param stepMillimetres from notch to notch
 * @param notches on each side
 * @param chainMillimetres length of each chain
 */
public record Beam(int firstMillimetres, int stepMillimetres, int notches, int chainMillimetres) {
    /**
     * A battery on the beam.
     *
     * @param notches in which the hooks hang straightest
     * @param hang how the chains hang then
     * @param pullKilograms of each chain
     */
    public record Lift(ChangeSums.Notches notches, ChangeSums.Hang hang, int pullKilograms) {}

    /**
     * @param eyesMillimetres distance of the battery's eyes, 150 to 2500
     * @param kilograms of the battery with its electrolyte
     * @throws org.ostendum.core.quantity.OutOfRange for eyes that no notch comes near to
     */
    public Lift lift(int eyesMillimetres, double kilograms) {
        ChangeSums.Notches at = ChangeSums.notches(eyesMillimetres, firstMillimetres, stepMillimetres, notches);
        ChangeSums.Hang hang = ChangeSums.hang(at.offMillimetres(), chainMillimetres);
        return new Lift(at, hang, (int) Math.round(kilograms / 2 * (1 + hang.addedPull())));
    }

    /** @return whether any notch comes near enough to eyes so far apart for the chains to reach them */
    public boolean reaches(int eyesMillimetres) {
        int off = ChangeSums.notches(eyesMillimetres, firstMillimetres, stepMillimetres, notches)
                .offMillimetres();
        return off <= chainMillimetres * ChangeSums.STEEPEST;
    }

    /** @return from the middle of the beam to a notch, mm */
    public int at(int notch) {
        return firstMillimetres + (notch - 1) * stepMillimetres;
    }
}
