package org.ostendum.core.voltage;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.electrolyte.ChargeScale;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.StateOfCharge;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.statistics.Robust;
import org.ostendum.core.voltage.VoltageRound.Load;

/**
 * Compares the cells or blocks of a battery by their voltage, and the rest voltage with the gravity. Everything is brought
 * to one cell, so that blocks of 6, 8 and 12 V are judged alike. Sources: {@code measure.voltage-rest},
 * {@code measure.voltage-load}, {@code measure.soc}; OCV = SG + 0.845 (Vinal).
 */
public final class VoltageJudge {
    private final VoltageCase asked;
    private final Map<Integer, Double> perCell = new TreeMap<>();

    private VoltageJudge(VoltageCase asked) {
        this.asked = asked;
        int cells = asked.model().layout().cellsPerCase();
        asked.round().byPlace().forEach((place, volts) -> perCell.put(place, (double) volts.millivolts() / cells));
    }

    /** @return what stands out, worst first; none for a round in order */
    public static List<Finding> judge(VoltageCase asked) {
        return new VoltageJudge(asked).findings();
    }

    /** @return mV a cell, the median of all that were read; 0 where none was */
    public static int median(VoltageRound round, BatteryModel model) {
        double[] perCell = round.byPlace().values().stream()
                .mapToDouble(
                        volts -> (double) volts.millivolts() / model.layout().cellsPerCase())
                .toArray();
        return perCell.length == 0 ? 0 : (int) Math.round(Robust.median(perCell));
    }

    /** @return state of charge by the median rest voltage */
    public static StateOfCharge charge(VoltageCase asked) {
        Volts median = new Volts((int) Math.round(new VoltageJudge(asked).median()));
        return asked.model().marks().scale().ofRestVoltage(median);
    }

    private List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        if (perCell.isEmpty()) {
            return findings;
        }
        for (Map.Entry<Integer, Double> unit : perCell.entrySet()) {
            if (unit.getValue() < 0) {
                findings.add(reversed(unit.getKey()));
            } else if (2 * perCell.size() > asked.model().layout().cases().size() && perCell.size() > 1) {
                low(unit.getKey(), unit.getValue(), findings);
            }
        }
        if (asked.round().load() == Load.REST) {
            disagreement(findings);
        }
        findings.sort((a, b) -> b.severity().compareTo(a.severity()));
        return findings;
    }

    private Finding reversed(int place) {
        return finding(
                FindingCode.BLOCK_REVERSED,
                place,
                Severity.STOP,
                Message.of("finding.volts.reversed", unit(place)),
                Message.of("finding.volts.reversed.why", volts(place)),
                null,
                0.98);
    }

    private void low(int place, double millivolts, List<Finding> findings) {
        RuleKey rule = asked.round().load() == Load.REST ? RuleKey.REST_BELOW_MEDIAN : RuleKey.LOAD_BELOW_MEDIAN;
        double below = median() - millivolts;
        if (below < asked.rules().volts(rule).millivolts()) {
            return;
        }
        String how = asked.round().load() == Load.REST ? "rest" : "load";
        findings.add(finding(
                FindingCode.BLOCK_LOW,
                place,
                Severity.ACT,
                Message.of("finding.volts." + how, unit(place)),
                Message.of(
                        "finding.volts." + how + ".why",
                        volts(place),
                        (int) Math.round(below),
                        asked.rules().volts(rule).millivolts()),
                rule,
                asked.round().load() == Load.REST ? 0.6 : 0.8));
    }

    private Finding finding(
            FindingCode code,
            int place,
            Severity severity,
            Message sentence,
            Message why,
            @Nullable RuleKey rule,
            double confidence) {
        return new Finding(
                code,
                new Cells(List.of()),
                severity,
                sentence,
                why,
                rule == null ? List.of() : List.of(asked.rules().use(rule)),
                new Evidence.AtPlace(place, at(place)),
                NextStep.TAKE_ROUND,
                null,
                confidence);
    }

    /** Rest voltage and gravity tell the same story, or there is a reason why not. */
    private void disagreement(List<Finding> findings) {
        CorrectedGravity gravity = asked.gravity();
        if (gravity == null || median() < 0) {
            return;
        }
        int apart =
                (int) Math.round(median()) - ChargeScale.restVoltage(gravity).millivolts();
        int limit = asked.rules().volts(RuleKey.VOLTAGE_AGAINST_GRAVITY).millivolts();
        if (Math.abs(apart) < limit) {
            return;
        }
        findings.add(new Finding(
                FindingCode.VOLTAGE_DISAGREES,
                new Cells(List.of()),
                Severity.WATCH,
                Message.of("finding.volts.disagree." + (apart > 0 ? "above" : "below"), Math.abs(apart)),
                reason(apart > 0),
                List.of(asked.rules().use(RuleKey.VOLTAGE_AGAINST_GRAVITY)),
                new Evidence.VoltsApart(gravity, apart),
                NextStep.TAKE_ROUND,
                null,
                0.5));
    }

    private Message reason(boolean voltageAbove) {
        Instant filled = asked.chargeEnded();
        Instant watered = asked.unmixedSince();
        Duration wanted = asked.rules().duration(RuleKey.REST_BEFORE_VOLTAGE);
        if (voltageAbove
                && filled != null
                && Duration.between(filled, asked.round().takenAt()).compareTo(wanted) < 0) {
            return Message.of(
                    "finding.volts.disagree.not-rested",
                    (int) Duration.between(filled, asked.round().takenAt()).toHours(),
                    (int) wanted.toHours());
        }
        if (voltageAbove && watered != null) {
            return Message.of("finding.volts.disagree.watered", watered);
        }
        return Message.of("finding.volts.disagree." + (voltageAbove ? "stratified" : "sulfated"));
    }

    private double median() {
        return Robust.median(
                perCell.values().stream().mapToDouble(Double::doubleValue).toArray());
    }

    private Message unit(int place) {
        return Message.of(asked.model().layout().isPack() ? "unit.block" : "unit.cell", place);
    }

    private BigDecimal volts(int place) {
        return BigDecimal.valueOf(at(place).millivolts(), 3);
    }

    private Volts at(int place) {
        return Objects.requireNonNull(asked.round().byPlace().get(place));
    }
}
