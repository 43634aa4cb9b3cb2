package org.ostendum.sim;

import java.util.List;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.voltage.VoltageRound;

/**
 * A simulated stretch of a battery's life: what a site has on record of it, and what was really so.
 *
 * @param rounds in the order of time
 * @param truths one for each round
 * @param voltages at rest and under load after each round, where the site has a voltmeter
 */
public record Life(EventLog events, List<Round> rounds, List<Truth> truths, List<VoltageRound> voltages) {
    public Life {
        rounds = List.copyOf(rounds);
        truths = List.copyOf(truths);
        voltages = List.copyOf(voltages);
    }

    /**
     * What nobody in the room can see at a round.
     *
     * @param day counted from 0
     * @param mixed gravity of each cell's electrolyte once mixed, at 25 °C
     * @param layered mean points by which samples from the top lie below it
     * @param hard mean hard sulfate, part of capacity
     * @param plates what the plates still have in the weakest cell, part of rated capacity
     * @param mistaken cells whose reading is a slip
     * @param again what a second drawing from each cell would have shown
     * @param unmixed whether water was poured after the last charge
     */
    public record Truth(
            int day,
            List<CorrectedGravity> mixed,
            double layered,
            double hard,
            double plates,
            List<Integer> mistaken,
            List<SpecificGravity> again,
            boolean unmixed) {
        public Truth {
            mixed = List.copyOf(mixed);
            mistaken = List.copyOf(mistaken);
            again = List.copyOf(again);
        }
    }
}
