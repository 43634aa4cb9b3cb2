package org.ostendum.app.sums.sketch;

import java.time.Duration;
import java.util.function.DoubleUnaryOperator;
import org.ostendum.app.draw.Sketch;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CubicMetres;

/** Curves and bars about a room, its water, charges and pools. */
final class RoomSketches {
    private static final double HOURS = 8;
    /** The burning limit is in sight, and the alarm still stands clear of the foot. */
    private static final double LEAST_SHOWN = 0.045;

    private static final double MOST_SHOWN = 0.12;
    private static final double DAY = 48;

    private RoomSketches() {}

    /** Hydrogen over a shift: alarm, stop and the burning limit across it. */
    static Sketch gas(Given given) {
        CubicMetres room = new CubicMetres(given.value("roomCubicMetres"));
        CubicMetres hydrogen = new CubicMetres(given.result("hydrogenCubicMetresPerHour"));
        CubicMetres air = new CubicMetres(given.value("airCubicMetresPerHour"));
        DoubleUnaryOperator fraction =
                h -> Gassing.fraction(room, hydrogen, air, Duration.ofSeconds(Math.round(h * 3600)));
        double highest = Math.min(MOST_SHOWN, Math.max(LEAST_SHOWN, 1.1 * fraction.applyAsDouble(HOURS)));
        Sketch sketch = new Sketch();
        new Plot(sketch, 0, HOURS, 0, highest)
                .scale(given.text("sketch.now"), "8 h")
                .level("limit", 0.01, "1 %")
                .level("limit", 0.02, "2 %")
                .level("limit hard", 0.04, given.text("sketch.burns"))
                .course(fraction);
        return sketch;
    }

    /** One cell's reserve between the marks as the days go. */
    static Sketch water(Given given) {
        double days = Math.max(1, given.result("daysToTheLowMark"));
        double litres = given.value("reserveLitresPerCell");
        double every = given.result("waterEveryDays");
        double shown = Math.max(14, days * 1.25);
        Sketch sketch = new Sketch();
        new Plot(sketch, 0, shown, -0.25 * litres, 1.15 * litres)
                .scale(given.text("sketch.filled"), given.text("sketch.days", (int) Math.round(shown)))
                .level("grid", litres, given.text("sketch.high"))
                .level("limit", 0, given.text("sketch.low"))
                .course(d -> litres * (1 - d / days))
                .spot(every, litres * (1 - every / days), given.text("sketch.days", (int) Math.round(every)));
        double cycle = given.result("litresPerCycle");
        return sketch.word("end", 532, 30, given.text("sketch.cycle", given.say("l", cycle)));
    }

    /** The charger's current: level, then tapering to the finish. */
    static Sketch charge(Given given) {
        double amps = given.value("chargerAmperes");
        double hours = Math.max(0.1, given.result("hours"));
        double finish = Math.min(
                amps,
                ChargeSums.finish(AmpHours.of(given.value("capacityAmpereHours")))
                        .amperes());
        double bulk = Math.min(hours, ChargeSums.BULK_PART * given.value("missingAmpereHours") / amps);
        Sketch sketch = new Sketch();
        new Plot(sketch, 0, hours * 1.15, 0, amps * 1.15)
                .scale(given.text("sketch.start"), given.text("sketch.hours", tenth(hours * 1.15)))
                .level("grid", amps, given.say("A", amps))
                .level("limit", finish, given.say("A", finish))
                .course(h -> h <= bulk
                        ? amps
                        : h > hours ? 0 : amps * Math.pow(finish / amps, (h - bulk) / Math.max(1e-6, hours - bulk)))
                .spot(hours, finish, given.text("sketch.hours", tenth(hours)));
        return sketch;
    }

    static String tenth(double value) {
        return String.valueOf(Math.round(value * 10) / 10.0);
    }

    /** Two days of a truck: each battery's work, charge and cooling, one beginning where the other ends. */
    static Sketch pool(Given given) {
        int batteries = (int) given.result("batteriesPerTruck");
        double work = given.value("workHours");
        double charge = given.value("chargeHours");
        double cool = given.value("coolHours");
        int rows = Math.min(batteries, 9);
        double high = Math.min(44, 210.0 / rows);
        Sketch sketch = new Sketch().rect("plot", 10, 12, 530, rows * high);
        for (int row = 0; row < rows; row++) {
            double turn = batteries * work;
            for (double start = row * work; start < DAY; start += turn) {
                bar(sketch, "bar-work", row, high, start, work);
                bar(sketch, "bar-charge", row, high, start + work, charge);
                bar(sketch, "bar-cool", row, high, start + work + charge, cool);
            }
            sketch.word("start", 548, 12 + high * row + high / 2 + 5, given.text("sketch.battery", row + 1));
        }
        return sketch.word("start", 10, 12 + rows * high + 20, given.text("sketch.pool"))
                .word("end", 540, 12 + rows * high + 20, "48 h");
    }

    private static void bar(Sketch sketch, String look, int row, double high, double from, double hours) {
        double x = 10 + 530 * Math.min(DAY, from) / DAY;
        double end = 10 + 530 * Math.min(DAY, from + hours) / DAY;
        sketch.rect(look, x, 12 + row * high + 4, end - x, high - 8);
    }
}
