package org.ostendum.sim;

import java.time.Instant;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.voltage.VoltageRound;

/** A person with a voltmeter at the cells of a tray or the blocks of a pack. It shows a hundredth of a volt. */
final class Voltmeter {
    private static final double ERROR = 0.006;

    private final CellLayout layout;
    private final Random random;

    Voltmeter(CellLayout layout, Random random) {
        this.layout = layout;
        this.random = random;
    }

    VoltageRound atRest(CellBank bank, Instant at) {
        return read(at, VoltageRound.Load.REST, i -> Chemistry.voltsAtRest(bank, i));
    }

    /** @param amps out of the battery */
    VoltageRound underLoad(CellBank bank, Instant at, double amps) {
        return read(at, VoltageRound.Load.LOAD, i -> Chemistry.voltsUnderLoad(bank, i, amps));
    }

    private interface OfCell {
        double volts(int index);
    }

    private VoltageRound read(Instant at, VoltageRound.Load load, OfCell cells) {
        int each = layout.cellsPerCase();
        Map<Integer, Volts> byPlace = new TreeMap<>();
        for (int place = 0; place < layout.cases().size(); place++) {
            double volts = ERROR * random.nextGaussian();
            for (int i = place * each; i < (place + 1) * each; i++) {
                volts += cells.volts(i);
            }
            byPlace.put(place + 1, Volts.of(Math.round(volts * 100) / 100.0));
        }
        return new VoltageRound(at, load, byPlace);
    }
}
