package org.ostendum.app.setup;

import static org.ostendum.app.form.Checked.given;

import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;

/**
 * A charger's plate and sheet as typed.
 *
 * @param volts "24 36": even numbers of volts, two for each cell
 * @param least and {@code most}: capacities it is made for, Ah
 * @param senses volts a cell below which it does not start
 * @param opportunity anything for one made for short charges in the breaks
 * @param version of the record when it was shown
 */
record ChargerForm(
        @Needed(message = Needed.CHOICE) @Nullable ChargerKind kind,
        @Needed @Text(max = 60) String volts,
        @Needed(message = Needed.CHOICE) @Nullable Chemistry cells,
        @Text(max = 40) @Nullable String connector,
        @Needed @Within(min = "1", max = "1000") @Nullable Integer amps,
        @Needed @Within(min = "0", max = "5000") @Nullable Integer least,
        @Needed @Within(min = "1", max = "5000") @Nullable Integer most,
        @Needed @Within(min = "0", max = "2.2") @Nullable Double senses,
        @Nullable String opportunity,
        @Nullable Integer version) {

    /** For which cells it has a profile. */
    enum Chemistry {
        FLOODED,
        SEALED,
        ALL;

        Set<CellKind> kinds() {
            return switch (this) {
                case FLOODED -> Set.of(CellKind.FLOODED);
                case SEALED -> Set.of(CellKind.AGM, CellKind.GEL);
                case ALL -> Set.of(CellKind.values());
            };
        }

        static Chemistry of(Set<CellKind> kinds) {
            return !kinds.contains(CellKind.FLOODED) ? SEALED : kinds.size() > 1 ? ALL : FLOODED;
        }
    }

    static final ChargerForm BLANK = new ChargerForm(null, "", null, "", null, null, null, null, null, null);

    static ChargerForm of(ChargerSheet sheet, int version) {
        return new ChargerForm(
                sheet.kind(),
                sheet.cells().stream().sorted().map(c -> String.valueOf(2 * c)).collect(Collectors.joining(" ")),
                Chemistry.of(sheet.kinds()),
                sheet.connector(),
                (int) Math.round(sheet.amperes().amperes()),
                (int) Math.round(sheet.least().ampHours()),
                (int) Math.round(sheet.most().ampHours()),
                sheet.sensesFrom().volts(),
                sheet.opportunity() ? "yes" : null,
                version);
    }

    /**
     * The sheet that a form without faults makes.
     *
     * @param cellCounts numbers of cells read from the volts
     */
    ChargerSheet sheet(String code, Set<Integer> cellCounts) {
        return new ChargerSheet(
                code,
                given(kind),
                cellCounts,
                given(cells).kinds(),
                Objects.requireNonNullElse(connector, ""),
                new Amperes(given(amps)),
                AmpHours.of(given(least)),
                AmpHours.of(given(most)),
                Volts.of(given(senses)),
                opportunity != null && !opportunity.isEmpty());
    }
}
