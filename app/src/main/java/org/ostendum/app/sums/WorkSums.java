package org.ostendum.app.sums;

import static org.ostendum.app.sums.AcidSums.value;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.CapacitySums;
import org.ostendum.core.change.Beam;
import org.ostendum.core.life.MoneySums;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.storage.SelfDischarge;

/** Calculators about work, standing, changing and money. */
final class WorkSums {
    private WorkSums() {}

    /** A capacity test, corrected to its reference temperature. */
    static final class Capacity implements Sum {
        @Override
        public String name() {
            return "capacity";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("capacityAmpereHours", "Ah", 1, 5000, 600),
                    new Input("testAmperes", "A", 0.1, 5000, 100),
                    new Input("testHours", "h", 0.05, 30, 5.2),
                    new Input("electrolyteCelsius", "°C", 10, 40, 22),
                    new Input("isMotive", "0, 1", 0, 1, 1));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            double hours = value(values, "testHours");
            AmpHours measured = AmpHours.of(value(values, "testAmperes") * hours);
            AmpHours corrected = CapacitySums.corrected(
                    measured,
                    hours(hours),
                    Celsius.of(value(values, "electrolyteCelsius")),
                    value(values, "isMotive") >= 0.5 ? Duty.MOTIVE : Duty.DEEP_CYCLE);
            double percent = 100 * corrected.ampHours() / value(values, "capacityAmpereHours");
            return List.of(
                    new Output("capacityPercent", "%", percent, 0),
                    new Output("correctedAmpereHours", "Ah", corrected.ampHours(), 0),
                    new Output("measuredAmpereHours", "Ah", measured.ampHours(), 0));
        }

        @Override
        public String source() {
            return "C = C(T) ÷ (1 + λ (T − T₀)); λ 0.006, below an hour 0.010; T₀ 30 °C motive, 25 °C others: IEC 60254-1, IEEE 450";
        }
    }

    /** How long a battery lasts at a current. */
    static final class RunTime implements Sum {
        @Override
        public String name() {
            return "run-time";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("capacityAmpereHours", "Ah", 1, 5000, 600),
                    new Input("rateHours", "h", 0.5, 30, 6),
                    new Input("loadAmperes", "A", 0.1, 5000, 90),
                    new Input("exponent", "", 1.05, 1.4, 1.2));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            Amperes load = new Amperes(value(values, "loadAmperes"));
            Duration lasts = CapacitySums.runTime(
                    AmpHours.of(value(values, "capacityAmpereHours")),
                    value(values, "rateHours"),
                    value(values, "exponent"),
                    load);
            double hours = lasts.toMinutes() / 60.0;
            return List.of(
                    new Output("lastsHours", "h", hours, 1),
                    new Output("hoursToEightyPercent", "h", 0.8 * hours, 1),
                    new Output("givesAmpereHours", "Ah", hours * load.amperes(), 0));
        }

        @Override
        public String source() {
            return "t = H (C ÷ (I H))^k, Peukert; from a fifth of the rated current to the one of an hour";
        }
    }

    /** What standing takes, and until when it may stand. */
    static final class Standing implements Sum {
        @Override
        public String name() {
            return "standing";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("gravity", "sg", 1.1, 1.32, 1.28),
                    new Input("rechargeGravity", "sg", 1.05, 1.3, 1.24),
                    new Input("placeCelsius", "°C", -30, 45, 10),
                    new Input("coldestCelsius", "°C", -60, 20, -15),
                    new Input("ageOfLife", "0–1", 0, 1, 0.5),
                    new Input("isDirty", "0, 1", 0, 1, 0),
                    new Input("isAircraft", "0, 1", 0, 1, 0));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            SelfDischarge.Standing standing = new SelfDischarge.Standing(
                    value(values, "isAircraft") >= 0.5 ? Duty.AIRCRAFT : Duty.DEEP_CYCLE,
                    value(values, "ageOfLife"),
                    value(values, "isDirty") >= 0.5,
                    Celsius.of(value(values, "placeCelsius")));
            CorrectedGravity now = gravity(values, "gravity");
            List<Output> results = new ArrayList<>();
            SelfDischarge.mayStand(
                            now,
                            gravity(values, "rechargeGravity"),
                            Celsius.of(value(values, "coldestCelsius")),
                            standing)
                    .ifPresent(days -> results.add(new Output("daysItMayStand", "days", days.toDays(), 0)));
            results.add(new Output("pointsPerWeek", "", 7 * SelfDischarge.pointsPerDay(standing), 1));
            results.add(new Output(
                    "gravityAfterThirtyDays",
                    "sg",
                    SelfDischarge.after(now, standing, Duration.ofDays(30)).tenths() / 10_000.0,
                    3));
            return results;
        }

        private static CorrectedGravity gravity(Map<String, Double> values, String name) {
            return new CorrectedGravity((int) Math.round(value(values, name) * 10_000));
        }

        @Override
        public String source() {
            return "3 to 8 % a month at 25 °C, aircraft a point a day, twice for each 10 K, three times under a dirty top: rules of thumb; freezing by table";
        }
    }

    /** Where the hooks hang straight. */
    static final class BeamNotch implements Sum {
        @Override
        public String name() {
            return "beam";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("eyesMillimetres", "mm", 150, 2500, 780),
                    new Input("firstNotchMillimetres", "mm", 0, 1250, 150),
                    new Input("stepMillimetres", "mm", 10, 500, 40),
                    new Input("notches", "", 1, 60, 14),
                    new Input("chainMillimetres", "mm", 100, 3000, 600),
                    new Input("weightKilograms", "kg", 20, 3000, 930));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            Beam.Lift lift = new Beam(
                            (int) value(values, "firstNotchMillimetres"),
                            (int) value(values, "stepMillimetres"),
                            (int) value(values, "notches"),
                            (int) value(values, "chainMillimetres"))
                    .lift((int) value(values, "eyesMillimetres"), value(values, "weightKilograms"));
            return List.of(
                    new Output("notch", "", lift.notches().left(), 0),
                    new Output("askewMillimetres", "mm", lift.notches().offMillimetres(), 0),
                    new Output("askewDegrees", "°", lift.hang().degrees(), 1),
                    new Output("pullOfEachChain", "kg", lift.pullKilograms(), 0));
        }

        @Override
        public String source() {
            return "Half the distance of the eyes from the beam’s middle, to the nearest notch on each side; pull = half the weight ÷ cos";
        }
    }

    /** Repair or replace, by what a cycle costs from now on. */
    static final class Repair implements Sum {
        @Override
        public String name() {
            return "repair";
        }

        @Override
        public List<Input> inputs() {
            return List.of(
                    new Input("repairPrice", "", 0, 1_000_000, 350),
                    new Input("cyclesLeft", "", 1, 5000, 500),
                    new Input("newPrice", "", 1, 1_000_000, 5200),
                    new Input("coreCredit", "", 0, 1_000_000, 400),
                    new Input("newCycles", "", 50, 5000, 1500));
        }

        @Override
        public List<Output> work(Map<String, Double> values) {
            MoneySums.Choice choice = MoneySums.choose(
                    value(values, "repairPrice"),
                    (int) value(values, "cyclesLeft"),
                    value(values, "newPrice"),
                    Math.min(value(values, "coreCredit"), value(values, "newPrice")),
                    (int) value(values, "newCycles"));
            List<Output> results = new ArrayList<>();
            results.add(new Output("repairPerCycle", "", choice.repairPerCycle(), 2));
            results.add(new Output("replacePerCycle", "", choice.replacePerCycle(), 2));
            if (choice.replacePerCycle() > 0) {
                double breakEven = value(values, "repairPrice") / choice.replacePerCycle();
                results.add(new Output("cyclesItMustStillLast", "", Math.ceil(breakEven), 0));
            }
            return results;
        }

        @Override
        public String source() {
            return "Price of the repair ÷ cycles still to come, beside (new price − core credit) ÷ cycles of a new one";
        }
    }

    private static Duration hours(double hours) {
        return Duration.ofMinutes(Math.round(hours * 60));
    }
}
