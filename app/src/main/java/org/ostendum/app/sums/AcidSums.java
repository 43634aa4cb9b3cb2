package org.ostendum.app.sums;

import java.util.List;
import java.util.Map;
import org.ostendum.core.electrolyte.AcidMixing;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;

/** Calculators about acid. */
final class AcidSums {
    private static final String TABLE = "Density table, International Critical Tables; mass balance";

    private AcidSums() {}

    private static CorrectedGravity gravity(Map<String, Double> values, String name) {
        return new CorrectedGravity((int) Math.round(value(values, name) * 10_000));
    }

    static double value(Map<String, Double> values, String name) {
        Double given = values.get(name);
        if (given == null) {
            throw new IllegalArgumentException("No " + name);
        }
        return given;
    }

    /** Strong acid and water to a volume of electrolyte. */
    static final class Mixing implements Sum {
        @Override
        public String name() {
            return "mixing";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("wantedLitres", "l", 0.1, 1000, 10),
                    new Input("wantedGravity", "sg", 1.01, 1.4, 1.28),
                    new Input("strongGravity", "sg", 1.05, 1.83, 1.4));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            AcidMixing.Mix mix = AcidMixing.mix(
                    new Litres(value(values, "wantedLitres")),
                    gravity(values, "wantedGravity"),
                    gravity(values, "strongGravity"));
            return List.of(
                    new Output("waterLitres", "l", mix.water().litres(), 2),
                    new Output("acidLitres", "l", mix.acid().litres(), 2),
                    new Output("acidKilograms", "kg", mix.acidMass().kilograms(), 2),
                    new Output("risesKelvin", "K", mix.kelvins(), 0));
        }

        @Override
        public String source() {
            return TABLE + "; heat of solution by Thomsen, ± 15 %";
        }
    }

    /** Raising a cell's gravity by exchange. */
    static final class Adjusting implements Sum {
        @Override
        public String name() {
            return "adjusting";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("cellLitres", "l", 0.05, 50, 3.4),
                    new Input("nowGravity", "sg", 1.1, 1.3, 1.25),
                    new Input("wantedGravity", "sg", 1.1, 1.32, 1.28),
                    new Input("strongGravity", "sg", 1.2, 1.4, 1.4));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            AcidMixing.Adjustment change = AcidMixing.raise(
                    new Litres(value(values, "cellLitres")),
                    gravity(values, "nowGravity"),
                    gravity(values, "wantedGravity"),
                    gravity(values, "strongGravity"));
            return List.of(
                    new Output("drawOffMillilitres", "ml", change.drawOff().litres() * 1000, 0),
                    new Output("addMillilitres", "ml", change.add().litres() * 1000, 0));
        }

        @Override
        public String source() {
            return TABLE;
        }
    }

    /** Soda for a spill. */
    static final class Soda implements Sum {
        @Override
        public String name() {
            return "soda";
        }

        @Override
        public List<Input> inputs() {
            return List.of(new Input("spillLitres", "l", 0.01, 1000, 5), new Input("gravity", "sg", 1.0, 1.4, 1.28));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            return List.of(new Output(
                    "sodaKilograms",
                    "kg",
                    AcidMixing.soda(new Litres(value(values, "spillLitres")), gravity(values, "gravity"))
                            .kilograms(),
                    2));
        }

        @Override
        public String source() {
            return "H₂SO₄ + 2 NaHCO₃ → Na₂SO₄ + 2 H₂O + 2 CO₂; " + TABLE;
        }
    }

    /** Where electrolyte freezes. */
    static final class Freezing implements Sum {
        @Override
        public String name() {
            return "freezing";
        }

        @Override
        public List<Input> inputs() {
            return List.of(new Input("gravity", "sg", 1.0, 1.3, 1.15), new Input("coldestCelsius", "°C", -60, 20, -10));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            double celsius =
                    FreezingPoint.of(gravity(values, "gravity")).orElseThrow().degrees();
            return List.of(
                    new Output("freezingCelsius", "°C", celsius, 1),
                    new Output("spareKelvin", "K", value(values, "coldestCelsius") - celsius, 1));
        }

        @Override
        public String source() {
            return "Vinal, Storage Batteries; CRC Handbook; ± 2 °C";
        }
    }
}
