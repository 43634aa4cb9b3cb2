package org.ostendum.core.statistics;

/**
 * Whole numbers that lie close together, counted by value: their median takes one step for each value between the lowest and the
 * highest, with nothing moved or compared.
 */
final class Counted {
    private final int lowest;
    private final int[] counts;
    private final int size;

    private Counted(int lowest, int highest, int size) {
        this.lowest = lowest;
        this.counts = new int[highest - lowest + 1];
        this.size = size;
    }

    /** @param values at least one */
    static Counted of(int[] values, int lowest, int highest) {
        Counted counted = new Counted(lowest, highest, values.length);
        for (int value : values) {
            counted.counts[value - lowest]++;
        }
        return counted;
    }

    /** @return twice the median, which is whole too */
    int twiceMedian() {
        return ranked((size - 1) / 2) + ranked(size / 2);
    }

    private int ranked(int rank) {
        int index = 0;
        for (int seen = counts[0]; seen <= rank; seen += counts[index]) {
            index++;
        }
        return lowest + index;
    }

    /** @return twice the median of the distances from the median, twice again */
    int fourTimesDistance() {
        int middle = twiceMedian();
        int furthest = Math.max(middle - 2 * lowest, 2 * (lowest + counts.length - 1) - middle);
        Counted distances = new Counted(0, furthest, size);
        for (int i = 0; i < counts.length; i++) {
            distances.counts[Math.abs(2 * (lowest + i) - middle)] += counts[i];
        }
        return distances.twiceMedian();
    }
}
