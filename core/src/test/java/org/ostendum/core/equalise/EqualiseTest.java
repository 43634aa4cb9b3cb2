package org.ostendum.core.equalise;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;

class EqualiseTest {
    private static final Instant NOW = Instant.parse("2026-03-02T20:00:00Z");

    private static Finding finding(FindingCode code, NextStep next) {
        return new Finding(
                code,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("a"),
                Message.of("b"),
                List.of(),
                List.of(),
                next,
                null,
                0.9);
    }

    private static Optional<EqualiseProposal.Reason> propose(
            CellKind kind, @Nullable Integer daysSince, int daysHere, Finding... findings) {
        return EqualiseProposal.of(
                        kind,
                        List.of(findings),
                        daysSince == null ? null : NOW.minus(Duration.ofDays(daysSince)),
                        NOW.minus(Duration.ofDays(daysHere)),
                        NOW,
                        Rules.standard())
                .map(EqualiseProposal::reason);
    }

    @Test
    void spreadAndNotGettingFullComeBeforeTheCalendar() {
        Finding uneven = finding(FindingCode.BATTERY_UNEVEN, NextStep.EQUALISE);
        Finding layered = finding(FindingCode.BATTERY_STRATIFIED, NextStep.EQUALISE);
        assertThat(propose(CellKind.FLOODED, 3, 400, uneven)).contains(EqualiseProposal.Reason.SPREAD);
        assertThat(propose(CellKind.FLOODED, 3, 400, layered)).contains(EqualiseProposal.Reason.NOT_FULL);
        assertThat(propose(CellKind.FLOODED, 3, 400, finding(FindingCode.CELL_SHORT, NextStep.REPAIR_CELL)))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"29, 400, false", "30, 400, true", ", 400, true", ", 12, false", "300, 12, false"})
    void theCalendarCountsFromTheLastOneOrFromItsComing(@Nullable Integer since, int here, boolean proposed) {
        assertThat(propose(CellKind.FLOODED, since, here).isPresent()).isEqualTo(proposed);
    }

    @Test
    void sealedCellsAreNeverEqualised() {
        Finding uneven = finding(FindingCode.BATTERY_UNEVEN, NextStep.EQUALISE);
        assertThat(propose(CellKind.GEL, null, 400, uneven)).isEmpty();
        assertThat(propose(CellKind.AGM, 300, 400)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1270 1276 1276 1277, true", "1270 1276 1280, false", "1276 1276, false", "1280 1279 1280, true"})
    void itIsDoneWhenTheLowestCellHasStoppedRising(String hourly, boolean done) {
        List<CorrectedGravity> read = Arrays.stream(hourly.split(" "))
                .map(p -> CorrectedGravity.ofPoints(Integer.parseInt(p)))
                .toList();
        assertThat(EqualiseEnd.isReached(read)).isEqualTo(done);
    }
}
