package org.ostendum.app.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.fact.CellLevel;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.OnCharge;
import org.ostendum.core.state.fact.OpenDefect;

/** A battery's state as programs read it; members are a contract. What nobody knows is {@code unknown} or null. */
record StateAnswer(
        String code,
        Instant asOf,
        String stage,
        Where place,
        @Nullable Charging charging,
        @Nullable StateOfChargeRange stateOfCharge,
        FullAnswer full,
        @Nullable Warmth temperature,
        @Nullable Cooling cooling,
        String mixed,
        List<LevelAnswer> levels,
        List<FindingAnswer> findings,
        List<DefectAnswer> defects,
        List<GateAnswer> gates,
        List<NextAnswer> next) {

    record Where(@Nullable String slot, @Nullable String room, @Nullable String machine) {}

    record Charging(@Nullable String charger, @Nullable String phase, Instant since) {}

    record StateOfChargeRange(BigDecimal low, BigDecimal likely, BigDecimal high, String basis) {}

    record FullAnswer(String value, @Nullable Instant since, List<String> evidence) {}

    record Warmth(BigDecimal celsius, Instant at) {}

    record Cooling(Instant until) {}

    record LevelAnswer(int cell, BigDecimal lowMm, BigDecimal highMm, String basis, Instant at) {}

    record FindingAnswer(
            String code,
            @Nullable Integer cell,
            String life,
            double probability,
            Instant since,
            String sentence,
            List<String> evidence,
            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable String doubt) {}

    record DefectAnswer(String id, String kind, Instant since, String sentence) {}

    /** What one gate of one job says. */
    record GateAnswer(String job, String gate, String state, @Nullable String reason, @Nullable String opens) {}

    record NextAnswer(
            String step,
            @Nullable String job,
            String reason,
            long handsOnMinutes,
            long takesMinutes,
            @Nullable Instant due) {}

    static StateAnswer of(
            String code,
            Where place,
            @Nullable String chargePhase,
            BatteryState state,
            List<GateAnswer> gates,
            Words words) {
        OnCharge running = state.onCharge();
        Heat heat = state.heat().temperature();
        Instant cooling = state.heat().coolingUntil();
        return new StateAnswer(
                code,
                state.asOf(),
                state.stage().word(),
                place,
                running == null ? null : new Charging(running.charger(), chargePhase, running.since()),
                charge(state.charge()),
                new FullAnswer(
                        lower(state.full().value()),
                        state.full().since(),
                        state.full().signs().stream()
                                .sorted()
                                .map(FullSign::word)
                                .toList()),
                heat == null
                        ? null
                        : new Warmth(BigDecimal.valueOf(heat.celsius().tenths(), 1), heat.at()),
                cooling == null ? null : new Cooling(cooling),
                lower(state.mixed()),
                levels(state),
                findings(state, words),
                state.defects().stream().map(d -> defect(d, words)).toList(),
                gates,
                NextThings.of(code, state).stream().map(t -> next(t, words)).toList());
    }

    private static @Nullable StateOfChargeRange charge(ChargeRange range) {
        return range.basis() == ChargeRange.Basis.NOTHING
                ? null
                : new StateOfChargeRange(
                        hundredths(range.low()),
                        hundredths(range.likely()),
                        hundredths(range.high()),
                        lower(range.basis()));
    }

    private static BigDecimal hundredths(double part) {
        return BigDecimal.valueOf(part).setScale(2, RoundingMode.HALF_UP);
    }

    private static List<LevelAnswer> levels(BatteryState state) {
        List<LevelAnswer> levels = new ArrayList<>();
        new TreeMap<>(state.levels().byCell()).forEach((cell, level) -> levels.add(level(cell, level)));
        return levels;
    }

    private static LevelAnswer level(int cell, CellLevel level) {
        return new LevelAnswer(cell, tenths(level.lowMm()), tenths(level.highMm()), lower(level.basis()), level.at());
    }

    private static BigDecimal tenths(double millimetres) {
        return BigDecimal.valueOf(millimetres).setScale(1, RoundingMode.HALF_UP);
    }

    private static List<FindingAnswer> findings(BatteryState state, Words words) {
        List<FindingAnswer> findings = new ArrayList<>();
        for (StandingFinding standing : state.findings()) {
            SharedShift shift = state.doubt(standing);
            @Nullable String doubt = shift == null ? null : words.shift(shift);
            List<Integer> cells = standing.finding().cells().numbers();
            if (cells.isEmpty()) {
                findings.add(finding(standing, null, doubt, words));
            }
            cells.forEach(cell -> findings.add(finding(standing, cell, doubt, words)));
        }
        return findings;
    }

    private static FindingAnswer finding(
            StandingFinding standing, @Nullable Integer cell, @Nullable String doubt, Words words) {
        var finding = standing.finding();
        return new FindingAnswer(
                finding.code().code(),
                cell,
                standing.life().word(),
                finding.confidence(),
                standing.since(),
                words.say(finding.sentence()),
                finding.evidence().figures().stream()
                        .map(e -> e.name() + " " + words.say(Message.of("evidence", e.value())))
                        .toList(),
                doubt);
    }

    private static DefectAnswer defect(OpenDefect defect, Words words) {
        return new DefectAnswer(defect.id(), defect.kind().word(), defect.since(), words.name(defect.kind()));
    }

    private static NextAnswer next(NextThing thing, Words words) {
        return new NextAnswer(
                thing.step().word(),
                thing.procedure(),
                words.say(thing.reason()),
                thing.time().handsOn().toMinutes(),
                thing.time().inAll().toMinutes(),
                thing.due());
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
