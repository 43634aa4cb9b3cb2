package org.ostendum.core.equalise;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.Told;

class EqualiseTest {
    private static final Instant NOW = Instant.parse("2026-03-02T20:00:00Z");

    private static Optional<EqualiseProposal.Reason> propose(Told told) {
        return EqualiseProposal.of(told.state()).map(EqualiseProposal::reason);
    }

    @Test
    void spreadAndNotGettingFullComeBeforeTheCalendar() {
        Told uneven = Told.inOrder()
                .equalised(100)
                .read(19, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1271)
                .read(18, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1255);
        assertThat(propose(uneven)).contains(EqualiseProposal.Reason.SPREAD);
        Told low = Told.nothing().equalised(100).read(18, RoundState.FULL_CHARGE, 1245, 1246, 1244, 1245, 1245, 1246);
        assertThat(propose(low)).contains(EqualiseProposal.Reason.NOT_FULL);
    }

    @ParameterizedTest
    @CsvSource({"29, false", "30, true"})
    void theCalendarCountsFromTheLastOne(int daysSince, boolean proposed) {
        Told told = Told.nothing()
                .worked(24 * daysSince + 20, 150)
                .charged(24 * daysSince + 9, 168)
                .equalised(24 * daysSince);
        assertThat(propose(told).isPresent()).isEqualTo(proposed);
    }

    /** What was before the record nobody knows: its own days are counted. */
    @ParameterizedTest
    @CsvSource({"29, false", "30, true"})
    void whereNoneIsOnRecordTheDaysOfTheRecordCount(int days, boolean proposed) {
        assertThat(propose(Told.nothing())).isEmpty();
        Told told = Told.nothing().charged(24 * days, 168).worked(32, 150).charged(20, 168);
        assertThat(EqualiseProposal.of(told.state()).map(EqualiseProposal::sentence))
                .isEqualTo(proposed ? Optional.of(Message.of("equalise.unknown", 30, 30)) : Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"CONVENTIONAL, true", "EQUALISE, false", "SULFATED, false"})
    void whatIsBeingDoneIsNotProposed(ChargeKind kind, boolean proposed) {
        Told told = Told.nothing().charged(24 * 40, 168).worked(32, 150).charged(20, 168);
        assertThat(propose(told)).contains(EqualiseProposal.Reason.CALENDAR);
        Told at = told.and(new BatteryEvent.ChargeStarted(Told.hoursAgo(2), kind, "C1"));
        assertThat(propose(at).isPresent()).isEqualTo(proposed);
    }

    @Test
    void theManualOfAnAircraftBatteryGoesBeforeTheCalendar() {
        Told told = Told.inOrder()
                .of(new BatteryModel(
                        "flier",
                        CellKind.FLOODED,
                        Duty.AIRCRAFT,
                        Told.SIX.layout(),
                        Told.SIX.capacity(),
                        1,
                        GravityMarks.usualFor(Duty.AIRCRAFT)));
        assertThat(propose(told)).isEmpty();
    }

    @Test
    void sealedCellsAreNeverEqualised() {
        Told told = Told.inOrder()
                .of(new BatteryModel(
                        "sealed",
                        CellKind.GEL,
                        Duty.MOTIVE,
                        Told.SIX.layout(),
                        Told.SIX.capacity(),
                        6,
                        GravityMarks.usualFor(Duty.MOTIVE)));
        assertThat(propose(told)).isEmpty();
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

    /** Low at once while enough is put back: acid in layers, or a hydrometer that the whole room is read with. */
    @Test
    void whatADoubtedHydrometerSaysIsNotEqualisedFor() {
        Told low = Told.nothing().equalised(24 * 10);
        for (int round = 8; round >= 1; round--) {
            int read = round > 1 ? 1285 : 1258;
            int then = 24 * 14 * (round - 1) + 18;
            low.worked(then + 12, 150)
                    .charged(then + 2, 175)
                    .read(then, RoundState.FULL_CHARGE, Level.RIGHT, read, read, read, read, read, read);
        }
        assertThat(EqualiseProposal.of(low.state()).map(EqualiseProposal::reason))
                .contains(EqualiseProposal.Reason.NOT_FULL);
        SharedShift shift = SharedShift.of(Collections.nCopies(4, low.state().course()), Instant.EPOCH, Told.NOW)
                .orElseThrow();
        low.around(Surroundings.NOTHING.with(shift));
        assertThat(EqualiseProposal.of(low.state())).isEmpty();
    }
}
