package org.ostendum.sim;

import java.util.Random;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.electrolyte.AcidTable;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * The state of the cells of one series battery, all in one place so that a step touches no objects. Per Ah of rated
 * capacity: charge missing and locked as hard sulfate (Ah), acid and water of the electrolyte (g).
 */
public final class CellBank {
    /** Water between the low and the high mark, g for each Ah of rated capacity (rule of thumb for trays). */
    static final double RESERVE = 0.6;
    /** Depth down to which the sheet's empty gravity is stated. */
    private static final double EMPTY_DEPTH = 0.8;
    /** Acid used and water made by each Ah, g. Source: Bode, Lead-Acid Batteries. */
    static final double ACID_PER_AH = 3.66;

    static final double WATER_PER_AH = 0.67;

    final int cells;
    final double capacity;
    /** Discharge time at which the capacity is stated, h. */
    final double rateHours;
    /** Charge missing, Ah per Ah of capacity, hard sulfate with it. */
    final double[] missing;
    /** That part of it which an ordinary charge does not bring back. */
    final double[] hard;
    /** Free sulfuric acid of the fully charged cell, g per Ah. */
    final double[] acid;
    /** Water of the fully charged cell, g per Ah. */
    final double[] water;
    /** How much heavier the acid is at the bottom than at the top, points. */
    final double[] layer;
    /** Self-discharge at 25 °C, part of capacity an hour. */
    final double[] leak;
    /** Part of the rated capacity that the plates still have. */
    final double[] plates;
    /** Volts a cell shows above or below its fellows on charge, for good. */
    final double[] ownVolts;
    /** What the joint behind a cell puts in the current's way beyond a sound one's, Ω. */
    final double[] jointOhms;
    /** A cell connected the wrong way round counts −1. */
    final int[] polarity;

    /** Self-discharge of a sound cell, part of capacity an hour; plates of one, part of rated capacity. */
    private static final double LEAK_OF_NEW = 0.0012 / 24;

    private static final double PLATES_OF_NEW = 1.05;

    private final double waterAtMark;
    private final double acidAtMark;
    double celsius = 25;
    /** What the electrolyte makes of the electrical day: 1 when new, more as antimony wanders. */
    double gassing = 1;

    CellBank(BatteryModel model, Random random) {
        cells = model.cells();
        capacity = model.capacity().ampHours();
        rateHours = model.rateHours();
        missing = new double[cells];
        hard = new double[cells];
        acid = new double[cells];
        water = new double[cells];
        layer = new double[cells];
        leak = new double[cells];
        plates = new double[cells];
        ownVolts = new double[cells];
        jointOhms = new double[cells];
        polarity = new int[cells];
        double full = AcidTable.massFraction(model.marks().scale().full());
        double electrolyte = electrolyte(model.marks());
        waterAtMark = electrolyte * (1 - full);
        acidAtMark = electrolyte * full;
        for (int i = 0; i < cells; i++) {
            acid[i] = acidAtMark * (1 + 0.006 * random.nextGaussian());
            water[i] = waterAtMark * (1 - 0.01 * random.nextDouble());
            leak[i] = LEAK_OF_NEW * (1 + 0.25 * Math.abs(random.nextGaussian()));
            plates[i] = PLATES_OF_NEW + 0.02 * random.nextGaussian();
            ownVolts[i] = 0.010 * random.nextGaussian();
            polarity[i] = 1;
        }
    }

    /** A new cell, charged and filled, in the place of an old one. */
    void renew(int i) {
        acid[i] = acidAtMark;
        water[i] = waterAtMark;
        leak[i] = LEAK_OF_NEW;
        plates[i] = PLATES_OF_NEW;
        missing[i] = 0;
        hard[i] = 0;
        layer[i] = 0;
        ownVolts[i] = 0;
    }

    /** Grams per Ah with which the sheet's gravities, full and empty, keep the balance of acid. */
    private static double electrolyte(GravityMarks marks) {
        double full = AcidTable.massFraction(marks.scale().full());
        double empty = AcidTable.massFraction(marks.empty());
        double acidUsed = ACID_PER_AH * EMPTY_DEPTH;
        double waterMade = WATER_PER_AH * EMPTY_DEPTH;
        // full·m − used = empty·(m − used + made)
        return (acidUsed - empty * (acidUsed - waterMade)) / (full - empty);
    }

    /** @return gravity of the well-mixed electrolyte of one cell at 25 °C */
    public CorrectedGravity mixedGravity(int index) {
        double freeAcid = Math.max(0, acid[index] - ACID_PER_AH * missing[index]);
        double freeWater = water[index] + WATER_PER_AH * missing[index];
        return AcidTable.gravity(Math.min(0.5, freeAcid / (freeAcid + freeWater)));
    }

    /** @return points by which a sample from the top lies below the well-mixed gravity */
    public double topLighter(int index) {
        return 0.5 * layer[index];
    }

    /** @return part of the reserve between the marks that is there: 1 at the mark, 0 where the plates begin to show */
    public double reserveLeft(int index) {
        return 1 - (waterAtMark - water[index]) / RESERVE;
    }

    /** Pours water in, g per Ah; it floats until a charge has mixed it. */
    void pour(int index, double grams) {
        water[index] += grams;
        layer[index] += 90 * grams / RESERVE;
    }

    /** @return mean of what an ordinary charge has still to bring back, part of capacity */
    double softMissing() {
        double sum = 0;
        for (int i = 0; i < cells; i++) {
            sum += Math.max(0, missing[i] - hard[i]);
        }
        return sum / cells;
    }

    /** @return what the weakest cell can still give, part of capacity; at nothing its voltage breaks down */
    double leftInWeakest() {
        double least = Double.MAX_VALUE;
        for (int i = 0; i < cells; i++) {
            least = Math.min(least, 0.9 * plates[i] - missing[i]);
        }
        return least;
    }

    public int cells() {
        return cells;
    }

    public double celsius() {
        return celsius;
    }

    /** @return acid of all cells, free or in the plates, g */
    double allAcid() {
        double sum = 0;
        for (double a : acid) {
            sum += a;
        }
        return sum * capacity;
    }
}
