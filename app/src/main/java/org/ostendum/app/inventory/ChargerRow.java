package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.CHARGER;

import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.jooq.tables.records.ChargerRecord;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.room.RoomPlan.Charger;

/** A charger's sheet as a row. */
final class ChargerRow {
    private ChargerRow() {}

    /** @return null where the row holds none */
    static @Nullable Charger charger(Record r, @Nullable String onBoardOf) {
        return r.get(CHARGER.CODE) == null ? null : new Charger(r.get(CHARGER.ID), sheet(r), onBoardOf);
    }

    static ChargerSheet sheet(Record r) {
        ChargerSheet plate =
                ChargerSheet.ofPlate(r.get(CHARGER.CODE), r.get(CHARGER.CELLS), new Amperes(r.get(CHARGER.AMPS)));
        return new ChargerSheet(
                plate.code(),
                ChargerKind.valueOf(r.get(CHARGER.KIND)),
                cells(r),
                Arrays.stream(r.get(CHARGER.CHEMISTRIES).split(" ", -1))
                        .map(CellKind::valueOf)
                        .collect(Collectors.toSet()),
                r.get(CHARGER.CONNECTOR),
                plate.amperes(),
                ampHours(r.get(CHARGER.LEAST_AH), plate.least()),
                ampHours(r.get(CHARGER.MOST_AH), plate.most()),
                new Volts(r.get(CHARGER.SENSES_FROM_MV)),
                r.get(CHARGER.OPPORTUNITY));
    }

    private static Set<Integer> cells(Record r) {
        String voltages = r.get(CHARGER.VOLTAGES);
        return voltages.isEmpty()
                ? Set.of((int) r.get(CHARGER.CELLS))
                : Arrays.stream(voltages.split(" ", -1)).map(Integer::valueOf).collect(Collectors.toSet());
    }

    private static AmpHours ampHours(@Nullable Short stored, AmpHours usual) {
        return stored == null ? usual : AmpHours.of(stored);
    }

    static ChargerRecord row(ChargerSheet sheet) {
        ChargerRecord row = new ChargerRecord();
        row.setCode(sheet.code());
        row.setCells((short) sheet.mostCells());
        row.setAmps((short) Math.round(sheet.amperes().amperes()));
        row.setKind(sheet.kind().name());
        row.setVoltages(sheet.cells().stream().sorted().map(String::valueOf).collect(Collectors.joining(" ")));
        row.setChemistries(sheet.kinds().stream().map(Enum::name).sorted().collect(Collectors.joining(" ")));
        row.setConnector(sheet.connector());
        row.setLeastAh((short) Math.round(sheet.least().ampHours()));
        row.setMostAh((short) Math.round(sheet.most().ampHours()));
        row.setSensesFromMv((short) sheet.sensesFrom().millivolts());
        row.setOpportunity(sheet.opportunity());
        return row;
    }
}
