package org.ostendum.demo;

import java.util.List;
import java.util.Set;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.life.Prices;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.receive.DateScheme;

/** The made-up battery models of the demo and the chargers that go with them. */
final class LanternmoorModels {
    /** Amperes of the right charger for each Ah. */
    private static final double CHARGER_RATE = 0.16;

    // Above the models, which are made from them.
    private static final Prices TRAY_PRICES = new Prices(4600, 380, 420, 1300);
    private static final Prices PACK_PRICES = new Prices(1150, 190, 90, 700);

    private static final String CAR_CONNECTOR = "three-pin, round";
    static final String AIRCRAFT_CONNECTOR = "two-pin, locking";

    private static final String SPLIT_RING = "to the bottom of the vent well’s ring";
    private static final String ABOVE_SHIELD = "a finger’s breadth above the plates’ shield";

    static final List<StoredModel> ALL = List.of(
            tray(
                    "Corvane 36-600",
                    "Corvane",
                    TrayPattern.ROWS_FROM_LEFT.layout(3, 6).text(),
                    600,
                    930,
                    false),
            tray(
                    "Corvane 48-700",
                    "Corvane",
                    TrayPattern.ROWS_FROM_RIGHT.layout(4, 6).text(),
                    700,
                    1340,
                    false),
            tray(
                    "Corvane 24-450",
                    "Corvane",
                    TrayPattern.ROWS_FROM_LEFT.layout(3, 4).text(),
                    450,
                    520,
                    true),
            tray(
                    "Hallowmere 36-510",
                    "Hallowmere",
                    TrayPattern.COLUMNS_FROM_LEFT.layout(3, 6).text(),
                    510,
                    810,
                    true),
            tray(
                    "Hallowmere 24-300",
                    "Hallowmere",
                    TrayPattern.COLUMNS_FROM_RIGHT.layout(2, 6).text(),
                    300,
                    360,
                    false),
            pack("Tarnfield 6x6", "1> 2> 3>/6< 5< 4<", 3, 225, 168),
            pack("Tarnfield 6x8", "1> 2> 3>/6< 5< 4<", 4, 170, 174),
            pack("Tarnfield 4x12", "1> 2>/4< 3<", 6, 150, 152),
            pack("Tarnfield 4x6", "1> 2>/4< 3<", 3, 240, 120),
            aircraft("Skyrow 12-35", "1 2 3/6 5 4", 35, 14),
            aircraft("Skyrow 24-36", TrayPattern.ROWS_FROM_LEFT.layout(2, 6).text(), 36, 29));

    private static StoredModel tray(
            String code, String maker, String layout, int ampHours, int weight, boolean cablesLeft) {
        BatteryModel model = new BatteryModel(
                code,
                CellKind.FLOODED,
                Duty.MOTIVE,
                LayoutText.parse(layout, 1),
                AmpHours.of(ampHours),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
        return new StoredModel(
                0,
                model,
                maker,
                12,
                SPLIT_RING,
                weight,
                cablesLeft,
                DateScheme.LETTER_DIGIT,
                250,
                connector(model),
                false,
                TRAY_PRICES);
    }

    /** Keyed by voltage, so that nobody joins what does not belong together. */
    static String connector(BatteryModel model) {
        return switch (model.nominalVolts()) {
            case 24 -> "ochre, wide";
            case 36 -> "slate, wide";
            case 48 -> "teal, wide";
            default -> "";
        };
    }

    private static StoredModel pack(String code, String layout, int cellsPerBlock, int ampHours, int weight) {
        BatteryModel model = new BatteryModel(
                code,
                CellKind.FLOODED,
                Duty.DEEP_CYCLE,
                LayoutText.parse(layout, cellsPerBlock),
                AmpHours.of(ampHours),
                20,
                GravityMarks.usualFor(Duty.DEEP_CYCLE));
        return new StoredModel(
                0,
                model,
                "Tarnfield",
                6,
                ABOVE_SHIELD,
                weight,
                false,
                DateScheme.LETTER_DIGIT_NO_I,
                120,
                CAR_CONNECTOR,
                false,
                PACK_PRICES);
    }

    private static StoredModel aircraft(String code, String layout, int ampHours, int weight) {
        BatteryModel model = new BatteryModel(
                code,
                CellKind.FLOODED,
                Duty.AIRCRAFT,
                LayoutText.parse(layout, 1),
                AmpHours.of(ampHours),
                1,
                GravityMarks.usualFor(Duty.AIRCRAFT));
        return new StoredModel(
                0,
                model,
                "Skyrow",
                8,
                SPLIT_RING,
                weight,
                true,
                DateScheme.MONTH_YEAR,
                80,
                AIRCRAFT_CONNECTOR,
                false,
                null);
    }

    /** What a car or a platform has on board: it stops by itself, and its plug is the machine's. */
    static ChargerSheet onBoard(String code, BatteryModel model) {
        return charger(code, model, ChargerKind.AUTOMATIC_STOP, CAR_CONNECTOR);
    }

    /** The charger over a battery's slot, made for its voltage and size; kinds as a site that grew has them. */
    static ChargerSheet charger(String code, BatteryModel model) {
        boolean aircraft = model.duty() == Duty.AIRCRAFT;
        int number = Integer.parseInt(code.replaceAll("\\D", ""));
        ChargerKind tray = number == 3
                ? ChargerKind.FERRO_TAPER
                : number == 6
                        ? ChargerKind.TIMER
                        : number == 7 ? ChargerKind.AUTOMATIC_STOP : ChargerKind.TAPER_WITH_FINISH;
        return charger(
                code, model, aircraft ? ChargerKind.AVIATION : tray, aircraft ? AIRCRAFT_CONNECTOR : connector(model));
    }

    private static ChargerSheet charger(String code, BatteryModel model, ChargerKind kind, String connector) {
        double capacity = model.capacity().ampHours();
        return new ChargerSheet(
                code,
                kind,
                model.cells() == 18 ? Set.of(12, 18) : Set.of(model.cells()),
                Set.of(CellKind.FLOODED),
                connector,
                new Amperes(Math.ceil(capacity * CHARGER_RATE)),
                AmpHours.of(Math.floor(0.6 * capacity)),
                AmpHours.of(Math.ceil(1.6 * capacity)),
                Volts.of(1.6),
                false);
    }

    private LanternmoorModels() {}
}
