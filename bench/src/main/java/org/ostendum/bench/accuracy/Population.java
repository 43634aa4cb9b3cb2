package org.ostendum.bench.accuracy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.sim.Fault;
import org.ostendum.sim.Site;

/** Simulated batteries of every kind: half of them healthy, most others with one fault, some with two. */
final class Population {
    static final int DAYS = 3 * 365;
    private static final List<BatteryModel> MODELS = List.of(
            tray("24 V tray", 2, 6, 500),
            tray("36 V tray", 3, 6, 700),
            tray("48 V tray", 4, 6, 900),
            pack("6 × 6 V", "1> 2> 3>/6< 5< 4<", 3, 225, 20),
            pack("6 × 8 V", "1> 2> 3>/6< 5< 4<", 4, 170, 20),
            pack("4 × 6 V", "1> 2>/4< 3<", 3, 250, 20),
            new BatteryModel(
                    "24 V aircraft",
                    CellKind.FLOODED,
                    Duty.AIRCRAFT,
                    TrayPattern.ROWS_FROM_LEFT.layout(2, 6),
                    AmpHours.of(40),
                    1,
                    GravityMarks.usualFor(Duty.AIRCRAFT)));

    private Population() {}

    private static BatteryModel tray(String name, int rows, int columns, int ampHours) {
        return new BatteryModel(
                name,
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(rows, columns),
                AmpHours.of(ampHours),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
    }

    private static BatteryModel pack(String name, String layout, int cells, int ampHours, double hours) {
        return new BatteryModel(
                name,
                CellKind.FLOODED,
                Duty.DEEP_CYCLE,
                LayoutText.parse(layout, cells),
                AmpHours.of(ampHours),
                hours,
                GravityMarks.usualFor(Duty.DEEP_CYCLE));
    }

    /** One battery to be simulated. */
    record Member(BatteryModel model, Site site, List<Fault> faults, long seed) {
        boolean isHealthy() {
            return faults.stream().allMatch(fault -> fault instanceof Fault.Replaced);
        }
    }

    /** Days between rounds of which some are left out. */
    private static final int OFTEN = 7;

    private static final double COLD = 4;
    private static final double HOT = 34;

    static Member member(long seed, Condition condition) {
        Random random = new Random(seed);
        BatteryModel model = MODELS.get(random.nextInt(MODELS.size()));
        Site site = site(Site.random(random), condition);
        List<Fault> faults = new ArrayList<>();
        if (random.nextBoolean()) {
            faults.add(fault(random, model));
            if (random.nextInt(10) == 0) {
                faults.add(fault(random, model));
            }
        }
        if (condition == Condition.REPLACED_CELLS) {
            faults.add(replaced(faults, random, model));
        }
        return new Member(model, site, faults, seed);
    }

    private static Site site(Site site, Condition condition) {
        return switch (condition) {
            case IRREGULAR, QUARTERLY -> site.readEvery(OFTEN);
            case COLD_ROOM -> site.in(COLD);
            case HOT_ROOM -> site.in(HOT);
            case NO_VOLTS -> site.withoutVolts();
            case NO_CHARGES -> site.withoutAmpHours();
            default -> site;
        };
    }

    /** The failing cell some months after it began to fail, or any. */
    private static Fault replaced(List<Fault> faults, Random random, BatteryModel model) {
        for (Fault fault : faults) {
            int cell = Truth.cell(fault);
            if (cell > 0) {
                return new Fault.Replaced(cell, fault.fromDay() + 240);
            }
        }
        return new Fault.Replaced(1 + random.nextInt(model.cells()), 300 + random.nextInt(300));
    }

    private static Fault fault(Random random, BatteryModel model) {
        int cells = model.cells();
        int cell = 1 + random.nextInt(cells);
        int day = 150 + random.nextInt(450);
        int perBlock = model.layout().cellsPerCase();
        boolean blocks = model.layout().cases().size() >= 4 && perBlock > 1;
        return switch (random.nextInt(blocks ? 11 : 10)) {
            case 0 -> new Fault.SoftShort(cell, day, between(random, 0.00015, 0.0005));
            case 1 -> new Fault.SulfatedCell(cell, day, between(random, 0.0006, 0.0015));
            case 2 -> new Fault.SulfatedBattery(day, between(random, 0.0006, 0.0012));
            case 3 -> new Fault.SheddingCell(cell, day, between(random, 0.002, 0.005));
            case 4 -> new Fault.Spilt(cell, day, between(random, 0.07, 0.2));
            case 5 -> new Fault.DryingCell(cell, day, between(random, 0.03, 0.06));
            case 6 -> new Fault.WrongCharger(day, between(random, 1.9, 3));
            case 7 -> new Fault.EarlyStop(day, between(random, 0.08, 0.15));
            case 8 -> new Fault.PoorMixing(day, between(random, 0.15, 0.35));
            case 9 -> new Fault.WearOut(day, between(random, 0.0008, 0.002));
            default -> tap(random, cells, perBlock, day);
        };
    }

    private static Fault tap(Random random, int cells, int perBlock, int day) {
        int wide = perBlock * (1 + random.nextInt(cells / perBlock >= 6 ? 2 : 1));
        boolean atPlus = random.nextBoolean();
        double perDay = between(random, 0.03, 0.05);
        return atPlus ? new Fault.Tap(1, wide, day, perDay) : new Fault.Tap(cells - wide + 1, cells, day, perDay);
    }

    private static double between(Random random, double least, double most) {
        return least + (most - least) * random.nextDouble();
    }
}
