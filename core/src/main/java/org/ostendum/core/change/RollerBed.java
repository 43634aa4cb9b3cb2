package org.ostendum.core.change;

/**
 * Heights of a roller bed beside rollers that a battery stands on: a battery never rolls up a step.
 *
 * @param takeMillimetres to take a battery over
 * @param giveMillimetres to hand one over
 */
public record RollerBed(int takeMillimetres, int giveMillimetres) {
    /** "Slightly" below and above, a finger's breadth; rule of thumb, the changer's manual comes first. Practice {@code change.roller}. */
    public static final int STEP_MILLIMETRES = 10;

    /** @param rollersMillimetres height over the floor of a stand's tier or a truck's battery bay */
    public static RollerBed beside(int rollersMillimetres) {
        return new RollerBed(rollersMillimetres - STEP_MILLIMETRES, rollersMillimetres + STEP_MILLIMETRES);
    }
}
