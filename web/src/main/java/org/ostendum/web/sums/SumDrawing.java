package org.ostendum.web.sums;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.quantity.OutOfRange;

/**
 * The picture that moves with a sum's values: a curve with its marks, or two parts of a vessel.
 *
 * @param curve points of a polyline in a field of 600 by 240; empty for none
 * @param marks horizontal lines with their words
 * @param spot the values' own place on the curve; null for none
 * @param part share of the vessel that is water, 0 to 1; below 0 for no vessel
 */
record SumDrawing(String curve, List<Mark> marks, @Nullable Spot spot, double part) {
    static final double WIDTH = 600;
    static final double HEIGHT = 240;
    private static final int STEPS = 60;

    record Mark(double y, String word) {}

    record Spot(double x, double y) {}

    /** @return null for a sum that has no picture */
    static @Nullable SumDrawing of(Sum sum, Map<String, Double> values) {
        try {
            return switch (sum.name()) {
                case "freezing" -> freezing(AcidSums.value(values, "gravity"));
                case "gas" -> gas(values);
                case "mixing" -> vessel(sum.work(values));
                default -> null;
            };
        } catch (OutOfRange e) {
            return null;
        }
    }

    /** From 0 at the top to −70 °C at the foot, over gravities 1.000 to 1.300. */
    private static SumDrawing freezing(double gravity) {
        DoubleUnaryOperator celsius = g -> FreezingPoint.of(new CorrectedGravity((int) Math.round(g * 10_000)))
                .map(Celsius::degrees)
                .orElse(-70.0);
        DoubleUnaryOperator y = g -> -celsius.applyAsDouble(g) / 75 * HEIGHT;
        return new SumDrawing(
                curve(x -> y.applyAsDouble(1 + 0.3 * x)),
                List.of(mark(20 / 75.0, "−20 °C"), mark(40 / 75.0, "−40 °C")),
                new Spot((gravity - 1) / 0.3 * WIDTH, y.applyAsDouble(gravity)),
                -1);
    }

    /** Hydrogen over eight hours, up to 3 %. */
    private static SumDrawing gas(Map<String, Double> values) {
        CubicMetres hydrogen = Gassing.hydrogenPerHour(
                (int) Math.round(AcidSums.value(values, "cells")),
                new Amperes(AcidSums.value(values, "gassingAmperes")),
                Celsius.of(AcidSums.value(values, "roomCelsius")));
        CubicMetres room = new CubicMetres(AcidSums.value(values, "roomCubicMetres"));
        CubicMetres air = new CubicMetres(AcidSums.value(values, "airCubicMetresPerHour"));
        DoubleUnaryOperator y = x -> HEIGHT
                * (1
                        - Math.min(
                                1,
                                Gassing.fraction(room, hydrogen, air, Duration.ofSeconds(Math.round(x * 28_800)))
                                        / 0.03));
        return new SumDrawing(curve(y), List.of(mark(2 / 3.0, "1 %"), mark(1 / 3.0, "2 %")), null, -1);
    }

    private static SumDrawing vessel(List<Sum.Output> results) {
        double water = results.get(0).value();
        double acid = results.get(1).value();
        return new SumDrawing("", List.of(), null, water / (water + acid));
    }

    private static Mark mark(double part, String word) {
        return new Mark(Math.round(part * HEIGHT), word);
    }

    private static String curve(DoubleUnaryOperator y) {
        List<String> points = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            double x = (double) i / STEPS;
            points.add(String.format(Locale.ROOT, "%.0f,%.1f", x * WIDTH, y.applyAsDouble(x)));
        }
        return String.join(" ", points);
    }
}
