package org.ostendum.app.sums.sketch;

import java.time.Duration;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.ostendum.app.draw.BeamSketch;
import org.ostendum.app.draw.Sketch;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.CapacitySums;
import org.ostendum.core.change.Beam;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.storage.SelfDischarge;

/** Curves, bars and the beam about work, standing, changing and money. */
final class WorkSketches {
    private static final double SERVICEABLE = 0.8;
    private static final double LEAST_SHOWN = 1.1;

    private WorkSketches() {}

    /** Rated, measured, corrected, with the line under which a battery is no longer serviceable. */
    static Sketch capacity(Given given) {
        double rated = given.value("capacityAmpereHours");
        double measured = given.result("measuredAmpereHours");
        double corrected = given.result("correctedAmpereHours");
        double wide = 380 / Math.max(rated, Math.max(measured, corrected));
        Sketch sketch = new Sketch();
        row(sketch, "bar-cool", 30, rated * wide, given.text("sketch.rated"), given.say("Ah", rated));
        row(sketch, "bar-work", 100, measured * wide, given.text("sketch.measured"), given.say("Ah", measured));
        row(sketch, "bar-charge", 170, corrected * wide, given.text("sketch.corrected"), given.say("Ah", corrected));
        double limit = 150 + SERVICEABLE * rated * wide;
        return sketch.line("limit", limit, 16, limit, 236).word("middle", limit, 256, "80 %");
    }

    private static void row(Sketch sketch, String look, double y, double width, String word, String figure) {
        sketch.rect(look, 150, y, width, 46).word("end", 140, y + 29, word).word("start", 156 + width, y + 29, figure);
    }

    static Sketch runTime(Given given) {
        AmpHours capacity = AmpHours.of(given.value("capacityAmpereHours"));
        double rate = given.value("rateHours");
        double exponent = given.value("exponent");
        double rated = capacity.ampHours() / rate;
        double longest = hours(CapacitySums.runTime(capacity, rate, exponent, new Amperes(rated * 0.33)));
        double most = CapacitySums.mostCurrent(capacity, rate, exponent).amperes();
        Sketch sketch = new Sketch();
        new Plot(sketch, rated * 0.33, most, 0, longest)
                .scale(given.say("A", rated * 0.33), given.say("A", most))
                .level("grid", rate, given.text("sketch.hours", RoomSketches.tenth(rate)))
                .course(a -> hours(CapacitySums.runTime(capacity, rate, exponent, new Amperes(Math.min(a, most)))))
                .spot(
                        given.value("loadAmperes"),
                        given.result("lastsHours"),
                        given.text("sketch.hours", RoomSketches.tenth(given.result("lastsHours"))));
        return sketch;
    }

    private static double hours(Duration time) {
        return time.toSeconds() / 3600.0;
    }

    /** The gravity as the battery stands, down to where it must be charged or could freeze. */
    static Sketch standing(Given given) {
        SelfDischarge.Standing standing = new SelfDischarge.Standing(
                given.value("isAircraft") >= 0.5 ? Duty.AIRCRAFT : Duty.DEEP_CYCLE,
                given.value("ageOfLife"),
                given.value("isDirty") >= 0.5,
                Celsius.of(given.value("placeCelsius")));
        double now = given.value("gravity");
        double days = given.hasResult("daysItMayStand") ? given.result("daysItMayStand") : 365;
        double shown = Math.max(30, days * 1.3);
        Sketch sketch = new Sketch();
        Plot plot = new Plot(sketch, 0, shown, LEAST_SHOWN, Math.max(now, 1.2) + 0.02)
                .scale(given.text("sketch.now"), given.text("sketch.days", (int) Math.round(shown)))
                .level("limit", given.value("rechargeGravity"), given.text("sketch.recharge"))
                .course(d -> gravityAfter(now, standing, d));
        freezing(given.value("coldestCelsius"))
                .ifPresent(g -> plot.level("limit hard", g, given.text("sketch.freezes")));
        if (given.hasResult("daysItMayStand")) {
            plot.spot(days, gravityAfter(now, standing, days), given.text("sketch.days", (int) Math.round(days)));
        }
        return sketch;
    }

    /** @return the gravity that freezes at a temperature; empty where it lies below the picture */
    private static OptionalDouble freezing(double celsius) {
        return DoubleStream.iterate(LEAST_SHOWN, g -> g <= 1.3, g -> g + 0.001)
                .filter(g -> FreezingPoint.of(AcidSketches.gravity(g))
                        .map(f -> f.degrees() <= celsius)
                        .orElse(true))
                .findFirst()
                .stream()
                .filter(g -> g > LEAST_SHOWN)
                .findFirst();
    }

    private static double gravityAfter(double now, SelfDischarge.Standing standing, double days) {
        return SelfDischarge.after(AcidSketches.gravity(now), standing, Duration.ofHours(Math.round(days * 24)))
                        .tenths()
                / 10_000.0;
    }

    static Sketch beam(Given given) {
        Beam beam = new Beam(
                (int) given.value("firstNotchMillimetres"),
                (int) given.value("stepMillimetres"),
                (int) given.value("notches"),
                (int) given.value("chainMillimetres"));
        return BeamSketch.of(
                beam,
                (int) given.value("eyesMillimetres"),
                (int) Math.round(given.value("weightKilograms")),
                given.words());
    }

    /** What a cycle of the repaired battery costs, the longer it lasts the less; a new one's across it. */
    static Sketch repair(Given given) {
        double repair = given.value("repairPrice");
        double replace = given.result("replacePerCycle");
        double most = Math.max(0.01, Math.max(given.result("repairPerCycle"), replace) * 1.6);
        double longest = Math.max(given.value("cyclesLeft") * 1.4, given.value("newCycles"));
        Sketch sketch = new Sketch();
        new Plot(sketch, 1, longest, 0, most)
                .scale(given.text("sketch.cycles", 1), given.text("sketch.cycles", (int) Math.round(longest)))
                .level("limit", replace, given.text("sketch.new", given.say("", replace)))
                .course(n -> repair / n)
                .spot(
                        given.value("cyclesLeft"),
                        given.result("repairPerCycle"),
                        given.say("", given.result("repairPerCycle")));
        return sketch;
    }
}
