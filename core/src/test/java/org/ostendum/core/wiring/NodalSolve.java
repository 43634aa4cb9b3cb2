package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The same voltages by another way: every block a source behind its resistance, every cable a small one, every post bled to ground through
 * a very large one, and the node equations solved.
 */
final class NodalSolve {
    private static final double BLOCK_OHMS = 0.004;
    private static final double CABLE_OHMS = 1e-5;
    private static final double BLEED_OHMS = 1e7;

    private final List<Post> nodes = new ArrayList<>();
    private final RealVector volts;

    NodalSolve(Wiring wiring, double blockVolts) {
        nodes.add(Post.PLUG_PLUS);
        nodes.add(Post.PLUG_MINUS);
        for (int block = 1; block <= wiring.pack().blocks(); block++) {
            nodes.add(new Post(block, true));
            nodes.add(new Post(block, false));
        }
        RealMatrix conductance = new Array2DRowRealMatrix(nodes.size(), nodes.size());
        RealVector injected = new ArrayRealVector(nodes.size());
        for (int i = 0; i < nodes.size(); i++) {
            conductance.addToEntry(i, i, 1 / BLEED_OHMS);
        }
        for (int block = 1; block <= wiring.pack().blocks(); block++) {
            int plus = nodes.indexOf(new Post(block, true));
            int minus = nodes.indexOf(new Post(block, false));
            if (wiring.facing(block) != 0) {
                resistor(conductance, plus, minus, BLOCK_OHMS);
                double amperes = wiring.facing(block) * blockVolts / BLOCK_OHMS;
                injected.addToEntry(plus, amperes);
                injected.addToEntry(minus, -amperes);
            }
        }
        for (Map.Entry<String, Wiring.Ends> cable : wiring.on().entrySet()) {
            if (cable.getValue().to() != null && wiring.conducts(cable.getKey())) {
                resistor(
                        conductance,
                        nodes.indexOf(cable.getValue().from()),
                        nodes.indexOf(cable.getValue().to()),
                        CABLE_OHMS);
            }
        }
        volts = new LUDecomposition(conductance).getSolver().solve(injected);
    }

    private static void resistor(RealMatrix conductance, int one, int other, double ohms) {
        conductance.addToEntry(one, one, 1 / ohms);
        conductance.addToEntry(other, other, 1 / ohms);
        conductance.addToEntry(one, other, -1 / ohms);
        conductance.addToEntry(other, one, -1 / ohms);
    }

    double between(Post one, Post other) {
        return volts.getEntry(nodes.indexOf(one)) - volts.getEntry(nodes.indexOf(other));
    }
}
