package org.ostendum.core.equalise;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
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
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

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

    private static List<EqualiseEnd.Hourly> hourly(int minutesApart, String points) {
        String[] read = points.split(" ");
        List<EqualiseEnd.Hourly> hourly = new ArrayList<>();
        for (int i = 0; i < read.length; i++) {
            hourly.add(new EqualiseEnd.Hourly(
                    NOW.plus(Duration.ofMinutes((long) minutesApart * i)),
                    CorrectedGravity.ofPoints(Integer.parseInt(read[i])),
                    Celsius.of(30)));
        }
        return hourly;
    }

    @ParameterizedTest
    @CsvSource({"1270 1276 1276 1277, 0", "1270 1276 1280, 2", "1276 1276, 1", "1280 1279 1280, 0", "1280 1280 1290, 2"
    })
    void itIsDoneWhenTheLowestCellHasStoppedRising(String points, int wanted) {
        assertThat(EqualiseEnd.stillWanted(hourly(60, points))).isEqualTo(wanted);
        assertThat(EqualiseEnd.isReached(hourly(60, points))).isEqualTo(wanted == 0);
    }

    @Test
    void readingsTooSoonAfterAnotherDoNotCount() {
        assertThat(EqualiseEnd.isReached(hourly(10, "1280 1280 1280 1280"))).isFalse();
        assertThat(EqualiseEnd.isReached(hourly(30, "1280 1280 1280 1280 1280")))
                .isTrue();
        assertThat(EqualiseEnd.stillWanted(List.of())).isEqualTo(3);
        assertThat(EqualiseEnd.nextFrom(List.of())).isEmpty();
        assertThat(EqualiseEnd.nextFrom(hourly(10, "1280 1280"))).contains(NOW.plus(Duration.ofMinutes(50)));
        assertThat(EqualiseEnd.nextFrom(hourly(60, "1280 1280"))).contains(NOW.plus(Duration.ofMinutes(110)));
    }
}
