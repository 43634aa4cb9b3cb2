package org.ostendum.standins;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.csv.CSVRecord;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.ostendum.sim.SimulatedCharger;
import org.ostendum.sim.SimulatedCharger.Defect;

/**
 * The bank of chargers as a CSV file, one a line in the order of their places: {@code code, kind, cells, amperes,
 * senses_from, defect}; several numbers of cells are parted by a space, volts are for each cell, the defect may be empty.
 */
final class BankFile {
    private BankFile() {}

    /** @throws IOException also for a line that cannot be: it says which and why */
    static List<SimulatedCharger> read(Path file) throws IOException {
        return LinesFile.read(file, BankFile::charger);
    }

    private static SimulatedCharger charger(CSVRecord line) {
        Set<Integer> cells = new TreeSet<>();
        for (String number : line.get("cells").split(" ", -1)) {
            cells.add(Integer.valueOf(number));
        }
        SimulatedCharger charger = new SimulatedCharger(new ChargerSheet(
                line.get("code"),
                ChargerKind.valueOf(line.get("kind")),
                cells,
                Set.of(CellKind.values()),
                "",
                new Amperes(Double.parseDouble(line.get("amperes"))),
                AmpHours.of(0),
                AmpHours.of(5000),
                Volts.of(Double.parseDouble(line.get("senses_from"))),
                false));
        String defect = line.get("defect").strip().toUpperCase(Locale.ROOT);
        charger.plant(defect.isEmpty() ? Defect.NONE : Defect.valueOf(defect));
        return charger;
    }
}
