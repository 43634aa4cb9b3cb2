package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.state.Told.hoursAgo;
import static org.ostendum.core.state.Told.nothing;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.event.BatteryEvent.AcidAdjusted;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.ChargerChecked;
import org.ostendum.core.event.BatteryEvent.DrewOff;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.LevelRead;
import org.ostendum.core.event.BatteryEvent.Washed;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.rulebook.Severity;

/** A finding is raised, seen again, acted upon and settled, each by its evidence. */
class FindingLivesTest {
    private static final Level R = Level.RIGHT;

    private static Optional<StandingFinding> found(Told told, FindingCode code) {
        return told.state().findings().stream()
                .filter(f -> f.finding().code() == code)
                .findFirst();
    }

    private static StandingFinding the(Told told, FindingCode code) {
        return found(told, code).orElseThrow();
    }

    /** A day's work and a full charge before each round, so that it is what it says. */
    private static Told round(Told told, double daysAgo, RoundState state, int... points) {
        double hours = 24 * daysAgo;
        told.worked(hours + 20, 150).charged(hours + 8, 175);
        if (state == RoundState.AFTER_EQUALISE) {
            told.equalised(hours + 4);
        }
        return told.read(hours, state, points);
    }

    private static Told oneFarBelow(double daysAgo) {
        return round(nothing(), daysAgo, RoundState.FULL_CHARGE, 1285, 1285, 1285, 1225, 1285, 1285);
    }

    /** Four rounds even, so that a cell that falls has a past. */
    private static Told even() {
        Told told = nothing();
        for (int week = 8; week >= 5; week--) {
            round(told, 7 * week, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        }
        return told;
    }

    @Test
    void unevennessIsPlainAtOnceActedOnByAnEqualiseAndSettledByAnEvenRound() {
        Told told = round(nothing(), 30, RoundState.FULL_CHARGE, 1285, 1285, 1275, 1252, 1268, 1285);
        StandingFinding raised = the(told, FindingCode.BATTERY_UNEVEN);
        assertThat(raised.life()).isEqualTo(FindingLife.CONFIRMED);
        assertThat(raised.next()).isEqualTo(NextStep.EQUALISE);
        assertThat(raised.severity()).isEqualTo(Severity.ACT);
        assertThat(raised.by()).isEqualTo("round");
        assertThat(raised.since()).isEqualTo(hoursAgo(720));

        told.and(new Equalised(hoursAgo(600), Duration.ofHours(3)));
        StandingFinding acted = the(told, FindingCode.BATTERY_UNEVEN);
        assertThat(acted.life()).isEqualTo(FindingLife.ACTED_UPON);
        assertThat(acted.next()).isEqualTo(NextStep.READ_AFTER_EQUALISE);
        assertThat(acted.severity()).as("watched until a reading tells").isEqualTo(Severity.WATCH);
        assertThat(acted.by()).isEqualTo("equalised");
        assertThat(acted.moved()).isEqualTo(hoursAgo(600));

        round(told, 5, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        round(told, 3, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(found(told, FindingCode.BATTERY_UNEVEN)).isEmpty();
        assertThat(told.state().verdict().sentence().key()).isEqualTo("verdict.fit");
    }

    @Test
    void whatIsSeenAgainAfterItWasActedOnIsSureAgain() {
        Told told = round(nothing(), 30, RoundState.FULL_CHARGE, 1285, 1285, 1275, 1252, 1268, 1285)
                .and(new Equalised(hoursAgo(600), Duration.ofHours(3)));
        round(told, 5, RoundState.FULL_CHARGE, 1285, 1285, 1275, 1250, 1268, 1285);
        StandingFinding again = the(told, FindingCode.BATTERY_UNEVEN);
        assertThat(again.life()).isEqualTo(FindingLife.CONFIRMED);
        assertThat(again.since()).isEqualTo(hoursAgo(720));
        assertThat(again.seen()).isEqualTo(hoursAgo(120));
        assertThat(again.moved()).isEqualTo(hoursAgo(120));
    }

    /** Proved bad after an equalise it stays so, however the next ordinary rounds soften it; two clear ones settle it. */
    @Test
    void aBadCellIsNotSoftenedByAnOrdinaryRound() {
        Told told = even();
        round(told, 20, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1215, 1284, 1285);
        round(told, 18, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1214, 1284, 1285);
        assertThat(told.state().severity()).isEqualTo(Severity.STOP);
        round(told, 10, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1232, 1284, 1285);
        assertThat(told.state().severity()).isEqualTo(Severity.STOP);
        told.worked(30, 150).read(20, RoundState.IN_SERVICE, 1200, 1200, 1200, 1200, 1200, 1200);
        assertThat(told.state().severity()).as("at work nothing of it shows").isEqualTo(Severity.STOP);
        told.charged(12, 175).and(new CellReplaced(hoursAgo(6), 4, null));
        assertThat(told.state().severity()).isNotEqualTo(Severity.STOP);
    }

    @Test
    void aRoundThatDidNotReadTheCellLeavesTheFinding() {
        Told told = even();
        round(told, 20, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1215, 1284, 1285);
        round(told, 18, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1214, 1284, 1285);
        round(told, 10, RoundState.FULL_CHARGE, 1285, 1284, 1286, 0, 1284, 1285);
        round(told, 5, RoundState.FULL_CHARGE, 1285, 1284, 1286, 0, 1284, 1285);
        assertThat(told.state().severity()).isEqualTo(Severity.STOP);
        round(told, 3, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1284, 1284, 1285);
        assertThat(told.state().severity()).as("one clear round is not enough").isEqualTo(Severity.STOP);
        round(told, 1, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1284, 1284, 1285);
        assertThat(told.state().severity()).isNotEqualTo(Severity.STOP);
    }

    @Test
    void dryCellsAreSettledByWaterByWhatWasReadAndByADifferentCell() {
        Told dry = nothing().looked(20, Level.LOW, R, Level.LOW, R, R, R);
        assertThat(the(dry, FindingCode.CELL_DRY).finding().cells().numbers()).containsExactly(1, 3);
        dry.and(new LevelRead(hoursAgo(10), 1, 24));
        assertThat(the(dry, FindingCode.CELL_DRY).finding().cells().numbers()).containsExactly(3);
        dry.watered(5, 0);
        assertThat(found(dry, FindingCode.CELL_DRY)).isEmpty();
    }

    /** Just covered they want a charge first, and water after it. */
    @Test
    void barePlatesAreCoveredChargedAndFilled() {
        Told bare = nothing().looked(20, Level.EXPOSED, R, R, R, R, R);
        assertThat(the(bare, FindingCode.CELL_DRY).next()).isEqualTo(NextStep.COVER_PLATES);
        bare.watered(10, 100, Fill.COVERED);
        StandingFinding covered = the(bare, FindingCode.CELL_DRY);
        assertThat(covered.life()).isEqualTo(FindingLife.ACTED_UPON);
        assertThat(covered.next()).isEqualTo(NextStep.CHARGE);
        bare.ended(4, Ending.FULL, null, FullSign.STEADY_VOLTAGE).watered(2, 0);
        assertThat(found(bare, FindingCode.CELL_DRY)).isEmpty();
    }

    @Test
    void overfilledCellsAreSettledByDrawingOff() {
        Told over = nothing().looked(20, Level.OVER, R, R, Level.OVER, R, R);
        assertThat(the(over, FindingCode.CELL_OVERFILLED).next()).isEqualTo(NextStep.DRAW_OFF);
        over.and(new DrewOff(hoursAgo(10), null, 1));
        assertThat(the(over, FindingCode.CELL_OVERFILLED).finding().cells().numbers())
                .containsExactly(4);
        over.and(new DrewOff(hoursAgo(9), null, null));
        assertThat(found(over, FindingCode.CELL_OVERFILLED)).isEmpty();
    }

    /** Low at work it wants a charge, and the charge settles it; one that is not full does not. */
    @ParameterizedTest
    @CsvSource({"FULL, STEADY_VOLTAGE, true", "ENDED_EARLY, STEADY_VOLTAGE, false", "FULL, LAMP, false"})
    void lowAtWorkIsSettledByAFullCharge(Ending ending, FullSign sign, boolean settled) {
        Told told = nothing().worked(30, 150).read(25, RoundState.IN_SERVICE, 1170, 1171, 1170, 1169, 1171, 1170);
        assertThat(the(told, FindingCode.BATTERY_UNDERCHARGED).next()).isEqualTo(NextStep.CHARGE);
        told.ended(10, ending, null, sign);
        assertThat(found(told, FindingCode.BATTERY_UNDERCHARGED).isEmpty()).isEqualTo(settled);
    }

    @Test
    void aChargerThatWasCheckedIsReadAgain() {
        Told told = nothing();
        for (int day = 29; day >= 1; day--) {
            told.worked(24 * day + 20, 150).charged(24 * day + 8, 150);
        }
        told.read(24, RoundState.FULL_CHARGE, 1250, 1251, 1250, 1249, 1251, 1250);
        assertThat(the(told, FindingCode.BATTERY_UNDERCHARGED).next()).isEqualTo(NextStep.CHECK_CHARGER);
        told.and(new Washed(hoursAgo(12)));
        assertThat(the(told, FindingCode.BATTERY_UNDERCHARGED).life()).isEqualTo(FindingLife.CONFIRMED);
        told.and(new ChargerChecked(hoursAgo(10)));
        assertThat(the(told, FindingCode.BATTERY_UNDERCHARGED).next()).isEqualTo(NextStep.READ_AGAIN);
    }

    @Test
    void theWorstStandsFirst() {
        Told told = nothing().looked(20, Level.EXPOSED, R, R, Level.OVER, R, R);
        List<StandingFinding> all = told.state().findings();
        assertThat(all).hasSize(2);
        assertThat(all.get(0).severity()).isEqualTo(Severity.STOP);
        assertThat(told.state().worst()).contains(all.get(0));
        assertThat(told.state().verdict().severity()).isEqualTo(Severity.STOP);
    }

    @Test
    void aNewCellInOneOfTwoPlacesLeavesTheOther() {
        Told told = nothing().looked(20, R, Level.LOW, R, Level.LOW, R, R);
        told.and(new CellReplaced(hoursAgo(4), 2, null));
        assertThat(the(told, FindingCode.CELL_DRY).finding().cells().numbers()).containsExactly(4);
    }

    @Test
    void ofAReadingThatIsDoubtedNothingStandsAfterTheNextRound() {
        Told told = oneFarBelow(30);
        assertThat(found(told, FindingCode.READING_IMPOSSIBLE)).isPresent();
        round(told, 20, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(found(told, FindingCode.READING_IMPOSSIBLE)).isEmpty();
    }

    /** A cell's acid that is set right is acted upon by what was done to that cell, or to all; another's leaves it. */
    @ParameterizedTest
    @CsvSource(
            value = {"4, true", "3, false", "all, true"},
            nullValues = "all")
    void acidThatWasLostIsActedOnByAdjustingIt(Integer cell, boolean acted) {
        Told told = nothing();
        for (int week = 22; week >= 2; week -= 2) {
            int fourth = week > 14 ? 1285 : 1250;
            round(told, 7 * week, RoundState.FULL_CHARGE, 1285, 1284, 1286, fourth, 1284, 1285);
        }
        assertThat(the(told, FindingCode.CELL_DILUTED).isOpen()).isTrue();
        told.and(new AcidAdjusted(hoursAgo(24), cell));
        assertThat(the(told, FindingCode.CELL_DILUTED).life())
                .satisfies(life -> assertThat(life == FindingLife.ACTED_UPON).isEqualTo(acted));
    }

    /** Sulfate wants hours; a short equalising charge is none of its repair. */
    @ParameterizedTest
    @CsvSource({"3, false", "40, true"})
    void sulfateIsActedOnByALongChargeOnly(int hours, boolean acted) {
        Told told = nothing();
        for (int week = 46; week >= 2; week -= 2) {
            boolean after = week % 4 == 0;
            int now = 1240 + week / 2;
            round(
                    told,
                    7 * week,
                    after ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE,
                    now,
                    now + 1,
                    now,
                    now - 1,
                    now + 1,
                    now);
        }
        StandingFinding before = told.state().findings().stream()
                .filter(f -> f.finding().next() == NextStep.LONG_CHARGE)
                .findFirst()
                .orElseThrow();
        assertThat(before.life()).isNotEqualTo(FindingLife.ACTED_UPON);
        told.and(new Equalised(hoursAgo(24), Duration.ofHours(hours)));
        assertThat(the(told, before.finding().code()).life() == FindingLife.ACTED_UPON)
                .isEqualTo(acted);
    }
}
