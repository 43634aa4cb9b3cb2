package org.ostendum.app.api;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleUse;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.StandingFinding;

/** A verdict as programs read it. */
record JudgeAnswer(Said verdict, List<Found> findings, Map<String, String> notJudged) {
    record Said(String level, String sentence) {}

    record RuleUsed(String key, BigDecimal value, String unit) {}

    record Crossing(LocalDate crosses, LocalDate early, @Nullable LocalDate late) {}

    record Found(
            String code,
            @Nullable Integer cell,
            String level,
            String sentence,
            String why,
            List<RuleUsed> rules,
            Map<String, Object> evidence,
            String next,
            @Nullable Crossing forecast,
            double confidence,
            String life,
            Instant since) {}

    static JudgeAnswer of(BatteryState battery, Words words) {
        Verdict verdict = battery.verdict();
        List<Found> findings = new ArrayList<>();
        for (StandingFinding standing : battery.findings()) {
            if (standing.finding().cells().isEmpty()) {
                findings.add(found(standing, null, words));
            }
            standing.finding().cells().numbers().forEach(cell -> findings.add(found(standing, cell, words)));
        }
        Map<String, String> notJudged = new LinkedHashMap<>();
        verdict.notJudged().forEach((question, missing) -> notJudged.put(question, words.name(missing)));
        return new JudgeAnswer(new Said(lower(verdict.severity()), words.say(verdict.sentence())), findings, notJudged);
    }

    private static Found found(StandingFinding standing, @Nullable Integer cell, Words words) {
        Finding finding = standing.finding();
        return new Found(
                finding.code().code(),
                cell,
                lower(finding.severity()),
                words.say(finding.sentence()),
                words.say(finding.why()),
                finding.rules().stream().map(JudgeAnswer::rule).toList(),
                evidence(finding.evidence().figures()),
                standing.next().word(),
                crossing(finding.forecast()),
                finding.confidence(),
                standing.life().word(),
                standing.since());
    }

    private static RuleUsed rule(RuleUse use) {
        return new RuleUsed(use.key().key(), use.value(), lower(use.key().unit()));
    }

    private static @Nullable Crossing crossing(@Nullable Forecast forecast) {
        return forecast == null ? null : new Crossing(forecast.crosses(), forecast.early(), forecast.late());
    }

    /** Gravities as 1.265, differences as 0.050, temperatures in °C, voltages in V. */
    private static Map<String, Object> evidence(List<Figure> figures) {
        Map<String, Object> plain = new LinkedHashMap<>();
        figures.forEach(figure -> plain.put(figure.name(), plain(figure.value())));
        return plain;
    }

    private static Object plain(Object value) {
        if (value instanceof CorrectedGravity gravity) {
            return BigDecimal.valueOf(gravity.tenths(), 4);
        } else if (value instanceof GravityDifference difference) {
            return BigDecimal.valueOf(difference.tenths(), 4);
        } else if (value instanceof Celsius celsius) {
            return celsius.degrees();
        } else if (value instanceof Volts volts) {
            return BigDecimal.valueOf(volts.millivolts(), 3);
        }
        return value instanceof Number ? value : value.toString();
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
