package org.ostendum.core.life;

/**
 * Whether a battery with bad cells is worth their repair.
 *
 * @param repair price of repairing all of them
 * @param cyclesLeft that the rest of the battery still has, 0 where it is at its end
 * @param repairPerCycle price of the repair over the cycles left; infinite where none are
 * @param replacePerCycle what a cycle of a new one costs
 * @param mustStillLast cycles the repaired battery has to give before the repair has paid
 */
public record RepairOrReplace(
        double repair, int cyclesLeft, double repairPerCycle, double replacePerCycle, int mustStillLast) {

    /**
     * @param cyclesDone of this battery so far
     * @param badCells 1 and up
     */
    public static RepairOrReplace of(Prices prices, int cyclesDone, int badCells) {
        double repair = prices.cellRepair() * badCells;
        int left = Math.max(0, prices.cycles() - cyclesDone);
        MoneySums.Choice choice =
                MoneySums.choose(repair, Math.max(1, left), prices.newBattery(), prices.coreCredit(), prices.cycles());
        double perCycle = left == 0 ? Double.POSITIVE_INFINITY : choice.repairPerCycle();
        return new RepairOrReplace(
                repair, left, perCycle, choice.replacePerCycle(), mustLast(repair, choice.replacePerCycle()));
    }

    /** Where the lead pays for the new battery, no repair ever pays. */
    private static int mustLast(double repair, double replacePerCycle) {
        return replacePerCycle <= 0 ? Integer.MAX_VALUE : (int) Math.ceil(repair / replacePerCycle);
    }

    public boolean isRepair() {
        return repairPerCycle < replacePerCycle;
    }
}
