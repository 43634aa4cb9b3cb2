package org.ostendum.sim;

import java.util.Arrays;
import java.util.List;

/** What the planted faults do to a battery and its charger on each day. */
final class Planted {
    private final List<Fault> faults;

    Planted(List<Fault> faults) {
        this.faults = List.copyOf(faults);
    }

    void morning(CellBank bank, Chemistry chemistry, int day) {
        Arrays.fill(chemistry.drain, 0);
        chemistry.stirring = 1;
        for (Fault fault : faults) {
            if (day >= fault.fromDay() && !isTakenOut(fault, day)) {
                work(fault, bank, chemistry, day);
            }
        }
    }

    /** What was wrong with a cell goes with it. */
    private boolean isTakenOut(Fault fault, int day) {
        int cell = cell(fault);
        return cell > 0
                && faults.stream()
                        .anyMatch(f -> f instanceof Fault.Replaced r
                                && r.cell() == cell
                                && day >= r.fromDay()
                                && fault.fromDay() <= r.fromDay());
    }

    private static int cell(Fault fault) {
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

    /** @return cells put in new on a day */
    List<Integer> replaced(int day) {
        return faults.stream()
                .filter(f -> f instanceof Fault.Replaced && f.fromDay() == day)
                .map(f -> ((Fault.Replaced) f).cell())
                .toList();
    }

    private static void work(Fault fault, CellBank bank, Chemistry chemistry, int day) {
        if (fault instanceof Fault.SoftShort f) {
            bank.leak[f.cell() - 1] += f.growth() / 24;
        } else if (fault instanceof Fault.SulfatedCell f) {
            sulfate(bank, f.cell() - 1, f.perDay());
        } else if (fault instanceof Fault.SulfatedBattery f) {
            for (int i = 0; i < bank.cells; i++) {
                sulfate(bank, i, f.perDay());
            }
        } else if (fault instanceof Fault.SheddingCell f) {
            bank.plates[f.cell() - 1] = Math.max(0.3, bank.plates[f.cell() - 1] - f.perDay());
            bank.leak[f.cell() - 1] += f.perDay() * 0.06 / 24;
        } else if (fault instanceof Fault.Spilt f && day == f.fromDay()) {
            bank.acid[f.cell() - 1] *= 1 - f.part();
            bank.water[f.cell() - 1] *= 1 - f.part();
        } else if (fault instanceof Fault.DryingCell f) {
            bank.water[f.cell() - 1] -= f.perDay();
        } else if (fault instanceof Fault.Tap f) {
            drain(chemistry, f.firstCell(), f.lastCell(), f.perDay());
        } else if (fault instanceof Fault.DirtyTop f) {
            drain(chemistry, 1, bank.cells, f.perDay());
        } else if (fault instanceof Fault.PoorMixing f) {
            chemistry.stirring = f.part();
        } else if (fault instanceof Fault.WearOut f) {
            for (int i = 0; i < bank.cells; i++) {
                bank.plates[i] = Math.max(0.55, bank.plates[i] - f.perDay());
            }
        } else if (fault instanceof Fault.Replaced f && day == f.fromDay()) {
            bank.renew(f.cell() - 1);
        } else if (fault instanceof Fault.BadJoint f) {
            bank.jointOhms[f.cell() - 1] = f.milliohms() / 1000;
        } else if (fault instanceof Fault.ReversedBlock f) {
            for (int i = f.firstCell() - 1; i < f.lastCell(); i++) {
                bank.polarity[i] = -1;
            }
        }
    }

    private static void sulfate(CellBank bank, int i, double part) {
        double grown = Math.min(part, Math.max(0, 0.5 - bank.hard[i]));
        bank.hard[i] += grown;
        bank.missing[i] += grown;
    }

    private static void drain(Chemistry chemistry, int first, int last, double perDay) {
        for (int i = first - 1; i < last; i++) {
            chemistry.drain[i] += perDay / 24;
        }
    }

    /** @return the charger as it works on a day */
    Charger charger(int day) {
        Charger charger = Charger.RIGHT;
        for (Fault fault : faults) {
            if (day < fault.fromDay()) {
                continue;
            }
            if (fault instanceof Fault.WrongCharger f) {
                double over = (Charger.RIGHT.returns() - 1) * f.times();
                charger = new Charger(Charger.RIGHT.rate(), Charger.RIGHT.finish() * f.times(), 1 + over, -1);
            } else if (fault instanceof Fault.EarlyStop f) {
                charger = new Charger(charger.rate(), charger.finish(), charger.returns(), f.left());
            }
        }
        return charger;
    }
}
