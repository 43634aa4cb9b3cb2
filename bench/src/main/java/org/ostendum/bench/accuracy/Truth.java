package org.ostendum.bench.accuracy;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.statistics.Robust;
import org.ostendum.sim.Fault;
import org.ostendum.sim.Life;

/**
 * What a judge who saw everything would say of a fault: the code that names it on what this site measures, the codes that
 * are true consequences of it, and the day from which its effect is large enough to be seen in principle.
 */
final class Truth {
    /** Tenths of a point a cell's mixed gravity has moved when it could be seen by averaging a few readings. */
    private static final double SEEN_CELL = 80;

    private static final double SEEN_BATTERY = 100;

    private Truth() {}

    /** @return the code by which the fault is to be called; null where this site measures nothing that shows it */
    static @Nullable FindingCode code(Fault fault, Population.Member member) {
        boolean volts = member.site().readsVolts();
        boolean logs = member.site().logsAmpHours();
        if (fault instanceof Fault.SoftShort || fault instanceof Fault.SheddingCell) {
            return volts ? FindingCode.CELL_SHORT : FindingCode.CELL_WEAK;
        } else if (fault instanceof Fault.SulfatedCell) {
            return volts ? FindingCode.CELL_SULFATED : FindingCode.CELL_WEAK;
        } else if (fault instanceof Fault.Spilt) {
            return FindingCode.CELL_DILUTED;
        } else if (fault instanceof Fault.DryingCell) {
            return member.site().looksAtLevels() ? FindingCode.CELL_THIRSTY : null;
        } else if (fault instanceof Fault.SulfatedBattery) {
            return volts || member.site().equaliseEvery() > 0
                    ? FindingCode.BATTERY_SULFATED
                    : FindingCode.BATTERY_UNDERCHARGED;
        } else if (fault instanceof Fault.EarlyStop) {
            return FindingCode.BATTERY_UNDERCHARGED;
        } else if (fault instanceof Fault.PoorMixing) {
            return logs && member.site().equaliseEvery() > 0 ? FindingCode.BATTERY_STRATIFIED : null;
        } else if (fault instanceof Fault.WrongCharger) {
            return logs ? FindingCode.BATTERY_THIRSTY : null;
        } else if (fault instanceof Fault.WearOut) {
            return logs ? FindingCode.BATTERY_WORN : null;
        } else if (fault instanceof Fault.Tap) {
            return FindingCode.PACK_TAP;
        }
        return null;
    }

    /** @return codes that a fault makes true beside its own */
    static Set<FindingCode> consequences(Fault fault) {
        if (fault instanceof Fault.SoftShort || fault instanceof Fault.SheddingCell) {
            // A dead cell ends the shifts early; its leak shows as weakness before its voltage does; and the charger
            // that tries to fill it boils the others.
            return Set.of(
                    FindingCode.CELL_WEAK,
                    FindingCode.CELL_SHORT,
                    FindingCode.CELL_COLOUR,
                    FindingCode.BATTERY_WORN,
                    FindingCode.BATTERY_THIRSTY,
                    FindingCode.BATTERY_UNEVEN,
                    FindingCode.BATTERY_UNDERCHARGED,
                    FindingCode.BATTERY_STRATIFIED);
        } else if (fault instanceof Fault.SulfatedCell) {
            return Set.of(FindingCode.CELL_WEAK, FindingCode.BATTERY_UNEVEN, FindingCode.BATTERY_WORN);
        } else if (fault instanceof Fault.Spilt) {
            return Set.of(FindingCode.BATTERY_UNEVEN, FindingCode.CELL_WEAK);
        } else if (fault instanceof Fault.DryingCell) {
            return Set.of(FindingCode.CELL_DRY, FindingCode.CELL_THIRSTY, FindingCode.CELL_CONCENTRATED);
        } else if (fault instanceof Fault.SulfatedBattery) {
            return Set.of(FindingCode.BATTERY_WORN, FindingCode.BATTERY_UNEVEN, FindingCode.BATTERY_UNDERCHARGED);
        } else if (fault instanceof Fault.EarlyStop) {
            return Set.of(FindingCode.BATTERY_STRATIFIED, FindingCode.BATTERY_UNEVEN, FindingCode.BATTERY_WORN);
        } else if (fault instanceof Fault.WrongCharger) {
            return Set.of(FindingCode.BATTERY_HOT, FindingCode.CELL_DRY, FindingCode.READING_UNRELIABLE);
        } else if (fault instanceof Fault.PoorMixing) {
            return Set.of(FindingCode.BATTERY_STRATIFIED, FindingCode.BATTERY_UNDERCHARGED);
        } else if (fault instanceof Fault.Tap) {
            return Set.of(FindingCode.BATTERY_UNEVEN, FindingCode.BATTERY_STRATIFIED, FindingCode.BATTERY_WORN);
        }
        return Set.of();
    }

    /** @return the cell the fault is in, 0 for the battery */
    static int cell(Fault fault) {
        if (fault instanceof Fault.SoftShort f) {
            return f.cell();
        } else if (fault instanceof Fault.SulfatedCell f) {
            return f.cell();
        } else if (fault instanceof Fault.SheddingCell f) {
            return f.cell();
        } else if (fault instanceof Fault.Spilt f) {
            return f.cell();
        }
        return fault instanceof Fault.DryingCell f ? f.cell() : 0;
    }

    /** @return whether the same was there before, by another fault that is called alike: what stands is not called a second time */
    static boolean isThereAlready(Fault fault, Population.Member member) {
        return member.faults().stream()
                .filter(other -> other.fromDay() < fault.fromDay() && until(other, member) >= fault.fromDay())
                .anyMatch(other -> cell(other) == cell(fault) && code(other, member) == code(fault, member));
    }

    /** @return the last day on which a fault is still in the battery */
    static int until(Fault fault, Population.Member member) {
        int cell = cell(fault);
        return member.faults().stream()
                .filter(f -> cell > 0 && f instanceof Fault.Replaced r && r.cell() == cell)
                .filter(f -> f.fromDay() >= fault.fromDay())
                .mapToInt(Fault::fromDay)
                .min()
                .orElse(Integer.MAX_VALUE);
    }

    /** @return index of the first round at which the fault could be seen in principle; -1 where it never could */
    static int seenFrom(Fault fault, Population.Member member, Life life) {
        for (int i = 0; i < life.truths().size(); i++) {
            Life.Truth truth = life.truths().get(i);
            if (truth.day() >= fault.fromDay() && isSeen(fault, member, life, truth)) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isSeen(Fault fault, Population.Member member, Life life, Life.Truth truth) {
        int cell = cell(fault);
        if (fault instanceof Fault.DryingCell f) {
            // Half the reserve gone beside its fellows by the time it is watered.
            return truth.day() >= f.fromDay() + 2 * member.site().waterEvery();
        } else if (cell > 0) {
            return fall(life, truth, cell) >= SEEN_CELL;
        } else if (fault instanceof Fault.Tap f) {
            return fall(life, truth, f.firstCell()) >= SEEN_CELL;
        } else if (fault instanceof Fault.PoorMixing) {
            return truth.layered() >= 8;
        } else if (fault instanceof Fault.WearOut) {
            return truth.plates() * 0.9 < 0.88 * member.site().depth() * 1.1;
        } else if (fault instanceof Fault.WrongCharger f) {
            return truth.day() >= f.fromDay() + 30;
        }
        return life.truths().get(0).mixed().size() > 0
                && median(life.truths().get(0).mixed()) - median(truth.mixed()) >= SEEN_BATTERY;
    }

    private static double fall(Life life, Life.Truth truth, int cell) {
        Life.Truth first = life.truths().get(0);
        return above(first, cell) - above(truth, cell);
    }

    private static double above(Life.Truth truth, int cell) {
        return truth.mixed().get(cell - 1).tenths() - median(truth.mixed());
    }

    private static double median(List<CorrectedGravity> gravities) {
        return Robust.median(
                gravities.stream().mapToDouble(CorrectedGravity::tenths).toArray());
    }
}
