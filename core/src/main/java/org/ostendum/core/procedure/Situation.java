package org.ostendum.core.procedure;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.BatteryState;

/**
 * Everything a gate may look at, as it is at one moment.
 *
 * @param needed the training that the job asks for
 * @param trained what the person who wants to begin has been trained in
 * @param stations of the room in which it would be done
 * @param battery null for a job on the room itself
 * @param misfits between the battery and the charger it is to go on, worst first; null while no charger is chosen
 * @param into the machine it is to go into; null while none is chosen
 */
public record Situation(
        Instant now,
        ZoneId zone,
        Rules rules,
        Training needed,
        Trained trained,
        List<StationState> stations,
        @Nullable Subject battery,
        @Nullable List<Mismatch> misfits,
        @Nullable Target into) {
    public Situation {
        stations = List.copyOf(stations);
    }

    /**
     * The battery that a job is done to.
     *
     * @param weightKg with electrolyte; 0 where nobody has said
     * @param size null where nobody has measured
     */
    public record Subject(String code, BatteryState state, int weightKg, String connector, @Nullable CaseSize size) {
        /** One that nobody has measured. */
        public Subject(String code, BatteryState state, int weightKg, String connector) {
            this(code, state, weightKg, connector, null);
        }
    }

    /**
     * A machine that a battery is to go into.
     *
     * @param volts nominal; null where nobody has said
     * @param connector shape and colour in the words of the site; empty where nobody has said
     * @param plate what it may carry; null where its plate says nothing
     * @param holds code of the battery in it; null for none
     * @param bay room that it has for a battery; null where nobody has measured
     */
    public record Target(
            String machine,
            @Nullable Integer volts,
            String connector,
            @Nullable WeightPlate plate,
            @Nullable String holds,
            @Nullable CaseSize bay) {
        /** One whose bay nobody has measured. */
        public Target(
                String machine,
                @Nullable Integer volts,
                String connector,
                @Nullable WeightPlate plate,
                @Nullable String holds) {
            this(machine, volts, connector, plate, holds, null);
        }
    }

    /** What a machine's plate allows a battery to weigh, kg, both ends included. */
    public record WeightPlate(int fromKg, int toKg) {
        boolean allows(int kilograms) {
            return kilograms >= fromKg && kilograms <= toKg;
        }
    }

    /** The same moment with a charger chosen. */
    public Situation on(List<Mismatch> charger) {
        return new Situation(now, zone, rules, needed, trained, stations, battery, List.copyOf(charger), into);
    }

    /** The same moment for a job that asks for another training. */
    Situation needing(Training training) {
        return new Situation(now, zone, rules, training, trained, stations, battery, misfits, into);
    }

    /** The same moment with another battery under the eyes. */
    public Situation of(Subject other) {
        return new Situation(now, zone, other.state().rules(), needed, trained, stations, other, misfits, into);
    }

    public LocalDate today() {
        return LocalDate.ofInstant(now, zone);
    }
}
