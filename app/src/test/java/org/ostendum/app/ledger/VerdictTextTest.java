package org.ostendum.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ostendum.app.db.Payload;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.RuleUse;
import org.ostendum.core.rulebook.Severity;

class VerdictTextTest {
    @Test
    void aVerdictReadsBackToItself() {
        LocalDate day = LocalDate.of(2026, 9, 1);
        Message sentence = Message.of(
                "all",
                SpecificGravity.ofPoints(1265),
                new CorrectedGravity(12643),
                new GravityDifference(-305),
                Celsius.of(24.5),
                7,
                new BigDecimal("0.50"),
                day,
                Instant.parse("2026-03-01T12:00:00Z"),
                "text “quoted”",
                new Cells(List.of(9, 3)),
                Message.of("inner", 1));
        Finding finding = new Finding(
                FindingCode.CELL_WEAK,
                Cells.of(9),
                Severity.STOP,
                sentence,
                Message.of("why"),
                List.of(new RuleUse(RuleKey.CELL_BELOW_MEDIAN, new BigDecimal("50"))),
                new Evidence.BelowMedian(
                        new CorrectedGravity(11933), new CorrectedGravity(12643), new GravityDifference(710), null),
                NextStep.REPAIR_CELL,
                new Forecast(day, day.minusDays(9), null),
                0.93);
        Verdict verdict =
                new Verdict(Severity.STOP, sentence, List.of(finding), Map.of("evenness", Missing.MORE_CELLS));
        assertThat(VerdictText.read(Payload.read(VerdictText.write(verdict).toString())))
                .isEqualTo(verdict);
    }
}
