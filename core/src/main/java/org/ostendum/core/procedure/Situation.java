package org.ostendum.core.procedure;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeState;
import org.ostendum.core.charger.Misfit;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;

/**
 * Everything a gate may look at, as it is at one moment.
 *
 * @param needed the training that the job asks for
 * @param trained what the person who wants to begin has been trained in
 * @param stations of the room in which it would be done
 * @param battery null for a job on the room itself
 * @param misfits between the battery and the charger it is to go on, worst first; null while no charger is chosen
 */
public record Situation(
        Instant now,
        ZoneId zone,
        Rules rules,
        Training needed,
        Trained trained,
        List<StationState> stations,
        @Nullable BatteryFacts battery,
        @Nullable List<Misfit> misfits) {
    public Situation {
        stations = List.copyOf(stations);
    }

    /** The same moment with a charger chosen. */
    public Situation on(List<Misfit> charger) {
        return new Situation(now, zone, rules, needed, trained, stations, battery, List.copyOf(charger));
    }

    /**
     * @param hasCaps whether the cells can be opened
     * @param findings of its last verdict that are not done with
     * @param temperature of the electrolyte as last read, null for never
     * @param temperatureAt when that was; null for never
     * @param gravity lowest corrected gravity of the last round, null where none was read
     * @param defects still open
     * @param weightKg with electrolyte
     * @param plate what its machine may carry; null when it is in none, or the plate says nothing
     */
    public record BatteryFacts(
            String code,
            boolean hasCaps,
            Happenings happenings,
            ChargeState charge,
            List<Finding> findings,
            @Nullable Celsius temperature,
            @Nullable Instant temperatureAt,
            @Nullable CorrectedGravity gravity,
            Set<DefectKind> defects,
            int weightKg,
            @Nullable WeightPlate plate) {
        public BatteryFacts {
            findings = List.copyOf(findings);
            defects = Set.copyOf(defects);
        }
    }

    /** What a machine's plate allows a battery to weigh, kg, both ends included. */
    public record WeightPlate(String machine, int fromKg, int toKg) {}

    /** The same moment for a job that asks for another training. */
    Situation needing(Training training) {
        return new Situation(now, zone, rules, training, trained, stations, battery, misfits);
    }

    public LocalDate today() {
        return LocalDate.ofInstant(now, zone);
    }
}
