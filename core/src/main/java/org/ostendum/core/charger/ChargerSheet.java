package org.ostendum.core.charger;

import java.util.Collections;
import java.util.Set;
import java.util.stream.Collectors;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.quantity.Volts;

/**
 * What a charger's plate and sheet say.
 *
 * @param cells numbers of cells it charges: several for one that finds out by itself
 * @param kinds of cells it has a profile for
 * @param connector shape and colour of its plug in the words of the site; empty where nobody has said
 * @param amperes it starts with at most
 * @param least smallest capacity it is made for
 * @param most largest
 * @param sensesFrom volts for each cell below which it does not start
 * @param opportunity whether it is made for short charges in the breaks
 */
public record ChargerSheet(
        String code,
        ChargerKind kind,
        Set<Integer> cells,
        Set<CellKind> kinds,
        String connector,
        Amperes amperes,
        AmpHours least,
        AmpHours most,
        Volts sensesFrom,
        boolean opportunity) {
    private static final double ANY_AMPERES_PER_AH = 0.25;
    private static final double FEW_AMPERES_PER_AH = 0.10;
    private static final double USUAL_SENSING = 1.6;

    public ChargerSheet {
        OutOfRange.check("number of voltages", cells.size(), 1, 20);
        OutOfRange.check("smallest capacity", least.ampHours(), 0, most.ampHours());
        cells = Set.copyOf(cells);
        kinds = Set.copyOf(kinds);
    }

    /**
     * A charger of which only its plate is known: made for flooded cells and for as much capacity as its current suits,
     * and sensing from 1.6 V a cell (rules of thumb).
     */
    public static ChargerSheet ofPlate(String code, int cells, Amperes amperes) {
        return new ChargerSheet(
                code,
                ChargerKind.TAPER_WITH_FINISH,
                Set.of(cells),
                Set.of(CellKind.FLOODED),
                "",
                amperes,
                AmpHours.of(Math.min(5000, amperes.amperes() / ANY_AMPERES_PER_AH)),
                AmpHours.of(Math.min(5000, amperes.amperes() / FEW_AMPERES_PER_AH)),
                Volts.of(USUAL_SENSING),
                false);
    }

    /** @return cells of the largest battery it charges */
    public int mostCells() {
        return Collections.max(cells);
    }

    /** "24, 36 V". */
    public String voltages() {
        return cells.stream().sorted().map(c -> String.valueOf(2 * c)).collect(Collectors.joining(", ")) + " V";
    }
}
