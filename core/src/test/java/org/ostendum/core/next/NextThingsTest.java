package org.ostendum.core.next;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.rulebook.Rules;

class NextThingsTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");

    private static Instant daysAgo(int days) {
        return NOW.minus(Duration.ofDays(days));
    }

    private static Finding asks(NextStep step) {
        return new Finding(
                FindingCode.BATTERY_UNEVEN,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("f"),
                Message.of("why"),
                List.of(),
                List.of(),
                step,
                null,
                1);
    }

    private static List<NextStep> steps(Happenings happenings, int lastRound, Finding... findings) {
        BatteryNow battery = new BatteryNow(
                "T-1",
                Duty.MOTIVE,
                true,
                18,
                Rules.standard(),
                daysAgo(lastRound),
                List.of(findings),
                happenings,
                null);
        return NextThings.of(battery, NOW).stream().map(NextThing::step).toList();
    }

    @Test
    void whatWasDoneSinceTheRoundLeadsOn() {
        Happenings equalised = new Happenings(null, null, daysAgo(3), daysAgo(1), daysAgo(4), 0);
        assertThat(steps(Happenings.NOTHING, 2, asks(NextStep.EQUALISE))).containsExactly(NextStep.EQUALISE);
        assertThat(steps(equalised, 2, asks(NextStep.EQUALISE))).containsExactly(NextStep.READ_AFTER_EQUALISE);
        Happenings watered = new Happenings(daysAgo(1), null, daysAgo(3), null, daysAgo(4), 0);
        assertThat(steps(watered, 2, asks(NextStep.WATER))).isEmpty();
        assertThat(steps(watered, 2, asks(NextStep.COVER_PLATES))).containsExactly(NextStep.CHARGE);
    }

    @ParameterizedTest
    @CsvSource({"20, false", "21, true", "30, true"})
    void aRoundIsDueByTheCalendar(int lastRound, boolean due) {
        assertThat(steps(Happenings.NOTHING, lastRound).contains(NextStep.TAKE_ROUND))
                .isEqualTo(due);
    }

    @Test
    void waterIsDueOnlyOnAFullBattery() {
        Happenings full = new Happenings(daysAgo(20), null, daysAgo(1), null, daysAgo(2), 5);
        Happenings worked = new Happenings(daysAgo(20), null, daysAgo(1), null, daysAgo(0), 5);
        assertThat(steps(full, 2)).containsExactly(NextStep.WATER);
        assertThat(steps(worked, 2)).isEmpty();
    }

    @Test
    void theWorstComesFirst() {
        NextThing round =
                new NextThing("B", NextStep.TAKE_ROUND, Severity.WATCH, Message.of("j"), Message.of("r"), 9, 5);
        NextThing stop =
                new NextThing("C", NextStep.COVER_PLATES, Severity.STOP, Message.of("j"), Message.of("r"), 0, 5);
        NextThing late =
                new NextThing("A", NextStep.TAKE_ROUND, Severity.WATCH, Message.of("j"), Message.of("r"), 30, 5);
        assertThat(List.of(round, stop, late).stream().sorted(NextThing.MOST_URGENT))
                .containsExactly(stop, late, round);
    }

    @ParameterizedTest
    @CsvSource({"364, false", "365, true"})
    void aTopIsWashedEachYear(int washed, boolean due) {
        BatteryNow battery = new BatteryNow(
                "T-1",
                Duty.MOTIVE,
                true,
                18,
                Rules.standard(),
                daysAgo(1),
                List.of(),
                Happenings.NOTHING,
                daysAgo(washed));
        assertThat(NextThings.of(battery, NOW).stream().map(NextThing::step).toList())
                .isEqualTo(due ? List.of(NextStep.WASH) : List.of());
    }
}
