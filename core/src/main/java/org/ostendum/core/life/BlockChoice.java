package org.ostendum.core.life;

/**
 * What a bad block in an old pack costs by each way out. A new block among old ones goes to the recycler with them: of its life the pack
 * uses only what is left of its own.
 *
 * @param block price of one new block
 * @param cyclesLeft that the rest of the pack still has; 0 at its end
 * @param onePerCycle what a cycle costs until then with the bad blocks renewed; infinite where none are left
 * @param wasted part of the new blocks' life that goes to the recycler unused, 0 to 1
 * @param allPerCycle what a cycle of a new pack costs
 */
public record BlockChoice(double block, int cyclesLeft, double onePerCycle, double wasted, double allPerCycle) {

    /**
     * @param prices of the whole pack
     * @param blocks of the pack
     * @param bad of them, 1 and up
     */
    public static BlockChoice of(Prices prices, int blocks, int bad, int cyclesDone) {
        double block = prices.newBattery() / blocks;
        int left = Math.max(0, prices.cycles() - cyclesDone);
        return new BlockChoice(
                block,
                left,
                left == 0 ? Double.POSITIVE_INFINITY : block * bad / left,
                1 - Math.min(1, left / (double) prices.cycles()),
                (prices.newBattery() - prices.coreCredit()) / prices.cycles());
    }

    public boolean isOne() {
        return onePerCycle < allPerCycle;
    }
}
