package org.ostendum.app.sums.sketch;

import org.ostendum.app.draw.Sketch;
import org.ostendum.core.electrolyte.AcidMixing;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;

/** Vessels and curves about acid. */
final class AcidSketches {
    private static final double FOOT = 240;
    private static final double DEPTH = 210;

    private AcidSketches() {}

    static CorrectedGravity gravity(double value) {
        return new CorrectedGravity((int) Math.round(value * 10_000));
    }

    /** A beaker: what goes in first lies below. */
    static Sketch mixing(Given given) {
        double water = given.result("waterLitres");
        double acid = given.result("acidLitres");
        double waterDeep = DEPTH * water / (water + acid);
        Sketch sketch = new Sketch()
                .rect("vessel-water", 150, FOOT - waterDeep, 180, waterDeep)
                .rect("vessel-acid", 150, FOOT - DEPTH, 180, DEPTH - waterDeep);
        return beaker(sketch, 150, 180)
                .word("start", 344, FOOT - waterDeep / 2, given.text("sketch.first", given.say("l", water)))
                .word(
                        "start",
                        344,
                        FOOT - waterDeep - (DEPTH - waterDeep) / 2,
                        given.text("sketch.then", given.say("l", acid)))
                .word("end", 138, FOOT - DEPTH + 6, given.say("l", given.value("wantedLitres")));
    }

    /** One cell: what is drawn off lies above, what is added beside it. */
    static Sketch adjusting(Given given) {
        double cell = given.value("cellLitres") * 1000;
        double off = given.result("drawOffMillilitres");
        double add = given.result("addMillilitres");
        double offDeep = DEPTH * Math.min(1, off / cell);
        double addDeep = DEPTH * Math.min(1, add / cell);
        Sketch sketch = new Sketch()
                .rect("vessel-water", 120, FOOT - DEPTH, 150, offDeep)
                .rect("vessel-acid faint", 120, FOOT - DEPTH + offDeep, 150, DEPTH - offDeep)
                .rect("vessel-acid", 390, FOOT - addDeep, 80, addDeep);
        beaker(sketch, 120, 150);
        beaker(sketch, 390, 80);
        return sketch.word(
                        "end",
                        110,
                        FOOT - DEPTH + Math.max(14, offDeep / 2),
                        given.text("sketch.off", given.say("ml", off)))
                .word("start", 480, FOOT - Math.max(6, addDeep / 2), given.text("sketch.add", given.say("ml", add)))
                .word("middle", 195, FOOT + 22, given.text("sketch.cell"))
                .word("middle", 430, FOOT + 22, given.text("sketch.strong"));
    }

    private static Sketch beaker(Sketch sketch, double x, double width) {
        return sketch.line("vessel", x, FOOT - DEPTH - 12, x, FOOT)
                .line("vessel", x, FOOT, x + width, FOOT)
                .line("vessel", x + width, FOOT, x + width, FOOT - DEPTH - 12);
    }

    static Sketch soda(Given given) {
        Litres spill = new Litres(given.value("spillLitres"));
        double most = AcidMixing.soda(spill, gravity(1.4)).kilograms() * 1.05;
        Sketch sketch = new Sketch();
        new Plot(sketch, 1.0, 1.4, 0, most)
                .scale(given.gravity(1.0), given.gravity(1.4))
                .level("grid", most / 2, given.say("kg", most / 2))
                .course(g -> AcidMixing.soda(spill, gravity(g)).kilograms())
                .spot(
                        given.value("gravity"),
                        given.result("sodaKilograms"),
                        given.say("kg", given.result("sodaKilograms")));
        return sketch;
    }

    /** The freezing curve, with the cold that is to come across it. */
    static Sketch freezing(Given given) {
        Sketch sketch = new Sketch();
        double cold = given.value("coldestCelsius");
        new Plot(sketch, 1.0, 1.3, -70, 5)
                .scale(given.gravity(1.0), given.gravity(1.3))
                .level("grid", 0, given.say("°C", 0))
                .level("grid", -40, given.say("°C", -40))
                .level("limit", cold, given.text("sketch.cold", given.say("°C", cold)))
                .course(g -> FreezingPoint.of(gravity(g)).map(Celsius::degrees).orElse(-70.0))
                .spot(
                        given.value("gravity"),
                        given.result("freezingCelsius"),
                        given.say("°C", given.result("freezingCelsius")));
        return sketch;
    }
}
