package org.ostendum.core.procedure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.electrolyte.AcidBalance;
import org.ostendum.core.electrolyte.AcidMixing;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.CellWater;
import org.ostendum.core.state.fact.CellLevel;

/** What a step works out by itself, from the battery's state and from what was measured earlier in the job. */
public enum StepSum {
    /** What each cell takes to its mark. */
    WATER_TO_MARK {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            List<Message> lines = new ArrayList<>();
            CellWater.toMark(battery)
                    .forEach((cell, ml) -> lines.add(Message.of("step-sum.water", cell, millilitres(ml))));
            return lines.isEmpty() ? List.of(Message.of("step-sum.water.unknown")) : lines;
        }
    },
    /** Which plates show, and how little covers them. */
    WATER_TO_COVER {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            return each(battery, battery.levels().bare(), "step-sum.cover", 0, COVERED_MM);
        }
    },
    /** What stands over the mark. */
    SURPLUS {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            return each(
                    battery,
                    battery.levels().over(),
                    "step-sum.surplus",
                    battery.model().levels().markMm(),
                    0);
        }
    },
    /** Which cells are known to have lost acid. */
    CELLS_SHORT_OF_ACID {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            List<Integer> cells = battery.findings().stream()
                    .filter(finding -> finding.finding().next() == NextStep.ADJUST_ACID)
                    .flatMap(finding -> finding.finding().cells().numbers().stream())
                    .distinct()
                    .toList();
            return List.of(
                    cells.isEmpty()
                            ? Message.of("step-sum.acid.none")
                            : Message.of("step-sum.acid.cells", new Cells(cells)));
        }
    },
    /** Which cells are to be taken out. */
    CELLS_TO_REPAIR {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            List<Integer> cells = battery.cellsToRenew();
            return List.of(
                    cells.isEmpty()
                            ? Message.of("step-sum.repair.none")
                            : Message.of("step-sum.repair.cells", new Cells(cells)));
        }
    },
    /** How much soda an amount of spilt acid takes: told beforehand, for nobody measures a spill. */
    SODA {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            return ofRoom();
        }

        @Override
        public List<Message> ofRoom() {
            return List.of(Message.of("step-sum.soda", soda(1), HALF_BUCKET, soda(HALF_BUCKET)));
        }
    },
    /** How much is drawn off and how much stronger acid goes in, for half of the way. */
    ACID_EXCHANGE {
        @Override
        public List<Message> of(Run run, BatteryState battery) {
            GravityMarks marks = battery.model().marks();
            CorrectedGravity wanted = marks.scale().full();
            CorrectedGravity now = CorrectedGravity.ofPoints(points(run.value("before")));
            if (now.compareTo(wanted) >= 0) {
                return List.of(Message.of("step-sum.acid.enough", now, wanted));
            }
            Litres cell = AcidBalance.cellVolume(
                    wanted, marks.empty(), battery.model().capacity());
            AcidMixing.Adjustment whole = AcidMixing.raise(cell, now, wanted, STRONG);
            return List.of(Message.of(
                    "step-sum.acid.exchange",
                    millilitres(HALF * whole.drawOff().litres() * 1000),
                    millilitres(HALF * whole.add().litres() * 1000),
                    STRONG,
                    now,
                    wanted));
        }
    };

    /** Plates count as covered with so much above them (rule of thumb). */
    private static final double COVERED_MM = 5;
    /** Acid as it is sold for batteries. */
    private static final CorrectedGravity STRONG = CorrectedGravity.ofPoints(1400);

    /** Of a full battery: what a spill is at most. */
    private static final CorrectedGravity SPILT = CorrectedGravity.ofPoints(1285);

    private static final int HALF_BUCKET = 5;

    private static final double HALF = 0.5;

    /** @return one line or several; none where there is nothing to work out */
    public abstract List<Message> of(Run run, BatteryState battery);

    /** @return the same for a job on no battery; none for a sum of a battery's */
    public List<Message> ofRoom() {
        return List.of();
    }

    /** @return kg, to the tenth */
    private static BigDecimal soda(int litres) {
        double kilograms = AcidMixing.soda(new Litres(litres), SPILT).kilograms();
        return BigDecimal.valueOf(kilograms).setScale(1, RoundingMode.HALF_UP);
    }

    private static int points(String measured) {
        return (int) Math.round(Double.parseDouble(measured.replace(',', '.')));
    }

    private static Millilitres millilitres(double ml) {
        return new Millilitres((int) Math.round(ml / 10) * 10);
    }

    /** From the middle of what each cell's level may be, to a level: ml that go in below it, or come out above it. */
    private static List<Message> each(
            BatteryState battery, List<Integer> cells, String key, double level, double atLeast) {
        LevelMarks marks = battery.model().levels();
        double perMm = marks.millilitresPerMm(battery.model().capacity().ampHours());
        Map<Integer, CellLevel> levels = battery.levels().byCell();
        List<Message> lines = new ArrayList<>();
        for (int cell : cells) {
            CellLevel known = levels.get(cell);
            if (known != null) {
                // Between the plates a millimetre holds far less, and nobody knows how deep it stands there.
                double middle = (Math.max(known.lowMm(), 0) + Math.max(known.highMm(), 0)) / 2;
                lines.add(Message.of(key, cell, millilitres(perMm * Math.abs(middle - Math.max(level, atLeast)))));
            }
        }
        return lines;
    }
}
