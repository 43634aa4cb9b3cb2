package org.ostendum.app.sums;

import static org.ostendum.app.sums.AcidSums.value;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.core.change.ChangeSums;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.water.WaterUse;

/** Calculators about a room, a charge and a pool. */
final class RoomSums {
    private RoomSums() {}

    /** Hydrogen in a room. */
    static final class Gas implements Sum {
        @Override
        public String name() {
            return "gas";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("cells", "", 1, 5000, 240),
                    new Input("gassingAmperes", "A", 0, 500, 25),
                    new Input("roomCubicMetres", "m³", 1, 100_000, 300),
                    new Input("airCubicMetresPerHour", "m³/h", 0, 100_000, 0),
                    new Input("roomCelsius", "°C", -20, 50, 20));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            int cells = (int) Math.round(value(values, "cells"));
            Amperes amperes = new Amperes(value(values, "gassingAmperes"));
            CubicMetres room = new CubicMetres(value(values, "roomCubicMetres"));
            CubicMetres air = new CubicMetres(value(values, "airCubicMetresPerHour"));
            CubicMetres hydrogen = Gassing.hydrogenPerHour(cells, amperes, Celsius.of(value(values, "roomCelsius")));
            List<Output> results = new ArrayList<>();
            results.add(new Output("hydrogenCubicMetresPerHour", "m³/h", hydrogen.cubicMetres(), 3));
            results.add(new Output(
                    "airWantedCubicMetresPerHour",
                    "m³/h",
                    Gassing.airPerHour(cells, amperes).cubicMetres(),
                    1));
            until("minutesToOnePercent", Gassing.until(0.01, room, hydrogen, air), results);
            until("minutesToTwoPercent", Gassing.until(0.02, room, hydrogen, air), results);
            return results;
        }

        /** A room that never gets there has no such result. */
        private static void until(String name, Optional<Duration> until, List<Output> results) {
            until.ifPresent(time -> results.add(new Output(name, "min", time.toSeconds() / 60.0, 0)));
        }

        @Override
        public String source() {
            return "Faraday, 0.42 l H₂ for each Ah and cell; Q = 0.05 n I, IEC 62485-3; V dc/dt = q − Q c";
        }
    }

    /** How long a reserve of water lasts. */
    static final class Water implements Sum {
        @Override
        public String name() {
            return "water";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("cells", "", 1, 144, 24),
                    new Input("overchargeAmpereHours", "Ah", 0.1, 1000, 50),
                    new Input("cyclesPerWeek", "", 0.1, 20, 5),
                    new Input("reserveLitresPerCell", "l", 0.01, 5, 0.4),
                    new Input("ageing", "×", 1, 4, 1.3),
                    new Input("mostDaysBetween", "days", 1, 365, 14));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            AmpHours overcharge = AmpHours.of(value(values, "overchargeAmpereHours"));
            int cells = (int) Math.round(value(values, "cells"));
            double ageing = value(values, "ageing");
            Duration lasts = WaterUse.reserveLasts(
                    new Litres(value(values, "reserveLitresPerCell")),
                    overcharge,
                    ageing,
                    value(values, "cyclesPerWeek") / 7);
            return List.of(
                    new Output(
                            "litresPerCycle",
                            "l",
                            WaterUse.of(cells, overcharge).litres() * ageing,
                            2),
                    new Output(
                            "waterEveryDays",
                            "days",
                            Math.max(1, Math.floor(Math.min(lasts.toHours() / 24.0, value(values, "mostDaysBetween")))),
                            0),
                    new Output("daysToTheLowMark", "days", lasts.toHours() / 24.0, 0));
        }

        @Override
        public String source() {
            return "0.336 g for each Ah of overcharge and cell, Bode; ageing is a rule of thumb";
        }
    }

    /** How long a charge takes. */
    static final class Charge implements Sum {
        @Override
        public String name() {
            return "charge";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("capacityAmpereHours", "Ah", 1, 5000, 600),
                    new Input("missingAmpereHours", "Ah", 0, 5000, 400),
                    new Input("chargerAmperes", "A", 0.1, 2000, 100),
                    new Input("chargeReturn", "×", 1.05, 1.25, 1.12));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            AmpHours capacity = AmpHours.of(value(values, "capacityAmpereHours"));
            AmpHours missing = AmpHours.of(value(values, "missingAmpereHours"));
            Amperes current = new Amperes(value(values, "chargerAmperes"));
            Duration time = ChargeSums.time(capacity, missing, value(values, "chargeReturn"), current);
            return List.of(
                    new Output("hours", "h", time.toMinutes() / 60.0, 1),
                    new Output("finishAmperes", "A", ChargeSums.finish(capacity).amperes(), 0));
        }

        @Override
        public String source() {
            return "Four fifths at the charger’s current, the rest tapering to 4 A for each 100 Ah; rule of thumb";
        }
    }

    /** Batteries for each truck. */
    static final class Pool implements Sum {
        @Override
        public String name() {
            return "pool";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("workHours", "h", 0.5, 24, 8),
                    new Input("chargeHours", "h", 0, 72, 8),
                    new Input("coolHours", "h", 0, 72, 8));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            int pool = ChangeSums.pool(
                    hours(value(values, "workHours")),
                    hours(value(values, "chargeHours")),
                    hours(value(values, "coolHours")));
            return List.of(new Output("batteriesPerTruck", "", pool, 0));
        }

        private static Duration hours(double hours) {
            return Duration.ofMinutes(Math.round(hours * 60));
        }

        @Override
        public String source() {
            return "⌈(work + charge + cool) ÷ work⌉";
        }
    }
}
