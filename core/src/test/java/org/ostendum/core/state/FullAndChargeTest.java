package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.ostendum.core.state.Told.hoursAgo;
import static org.ostendum.core.state.Told.nothing;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.DefectFound;
import org.ostendum.core.event.BatteryEvent.RestVoltageRead;
import org.ostendum.core.event.BatteryEvent.StoodFlat;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.state.BatteryState.Phase;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.ChargeRange.Basis;

/** Whether a battery is full, on which evidence, and how much is in it. */
class FullAndChargeTest {
    @Test
    void ofABatteryNobodyHasToldOfNothingIsKnown() {
        BatteryState state = nothing().state();
        assertThat(state.full().value()).isEqualTo(Answer.UNKNOWN);
        assertThat(state.phase()).isEqualTo(Phase.UNKNOWN);
        assertThat(state.phaseSince()).isNull();
        assertThat(state.charge().isKnown()).isFalse();
        assertThat(state.roundState()).isEqualTo(RoundState.UNKNOWN);
    }

    /** 105 % of what was taken out must be back; the record speaks against the word where it is there. */
    @ParameterizedTest
    @CsvSource({"150, 158, true", "150, 157.5, true", "150, 157.4, false", "150, 100, false", "0, 200, false"})
    void whatWasTakenOutIsBackByTheRecord(double out, double in, boolean full) {
        BatteryState state = nothing().worked(40, out).charged(20, in).state();
        assertThat(state.full().isYes()).isEqualTo(full);
        assertThat(state.full().signs().contains(FullSign.RETURNED)).isEqualTo(full);
    }

    @Test
    void twoShiftsWithoutAChargeBetweenAreOwedTogether() {
        assertThat(nothing()
                        .worked(60, 100)
                        .worked(40, 100)
                        .charged(20, 160)
                        .state()
                        .full()
                        .isYes())
                .isFalse();
        assertThat(nothing()
                        .worked(60, 100)
                        .worked(40, 100)
                        .charged(20, 210)
                        .state()
                        .full()
                        .isYes())
                .isTrue();
    }

    /** Of a part charge nine tenths stay; what is still owed after it is 30 Ah, and 105 % of that must come. */
    @ParameterizedTest
    @CsvSource({"27, false", "28, false", "33, true"})
    void aPartChargeIsTakenOffWhatIsOwed(double then, boolean full) {
        Told told =
                nothing().worked(60, 120).ended(50, Ending.ENDED_EARLY, 100.0).charged(20, then);
        assertThat(told.state().full().isYes()).isEqualTo(full);
    }

    @Test
    void aSignSaidToSpeakForFullIsNotBelievedAgainstTheRecord() {
        BatteryState state = nothing()
                .worked(40, 150)
                .ended(20, Ending.FULL, 100.0, FullSign.RETURNED)
                .state();
        assertThat(state.full().isYes()).isFalse();
        assertThat(nothing()
                        .worked(40, 150)
                        .ended(20, Ending.FULL, 100.0, FullSign.RETURNED, FullSign.STEADY_VOLTAGE)
                        .state()
                        .full()
                        .signs())
                .containsExactly(FullSign.STEADY_VOLTAGE);
    }

    @ParameterizedTest
    @EnumSource(FullSign.class)
    void aLampAloneIsNoEvidence(FullSign sign) {
        BatteryState state =
                nothing().worked(40, 0).ended(20, Ending.FULL, null, sign).state();
        assertThat(state.full().isYes()).isEqualTo(sign != FullSign.LAMP);
        assertThat(state.full().signs()).containsExactly(sign);
        assertThat(state.charge().likely()).isGreaterThan(0.85);
    }

    /** Whatever spoke for full: a charge that was ended before its end is none. */
    @ParameterizedTest
    @EnumSource(
            names = {"ENDED_EARLY", "STOPPED", "BROKEN_OFF"},
            value = Ending.class)
    void aChargeEndedBeforeItsEndIsNotFull(Ending ending) {
        BatteryState state = nothing()
                .worked(40, 150)
                .chargeBegun(24)
                .ended(20, ending, 200.0, FullSign.STEADY_VOLTAGE)
                .state();
        assertThat(state.full().isNo()).isTrue();
        assertThat(state.phase()).isEqualTo(Phase.WORKED);
        assertThat(state.phaseSince()).isEqualTo(hoursAgo(20));
        assertThat(state.isCharging()).isFalse();
    }

    /** Heat makes volts and gravity lie; a defect does not, but what is ended for it before its end was stopped for danger. */
    @Test
    void aChargeEndsByWhatItsBatteryIsAtThatMoment() {
        Told charging = nothing().worked(9, 150).chargeBegun(8);
        assertThat(charging.state().endingNow(true)).isEqualTo(Ending.FULL);
        assertThat(charging.state().endingNow(false)).isEqualTo(Ending.ENDED_EARLY);
        Told defect = charging.and(new DefectFound(hoursAgo(1), "lug", DefectKind.LOOSE_POST));
        assertThat(defect.state().endingNow(true)).isEqualTo(Ending.FULL);
        assertThat(defect.state().endingNow(false)).isEqualTo(Ending.STOPPED);
        assertThat(defect.warm(0.1, 50).state().endingNow(true)).isEqualTo(Ending.STOPPED);
    }

    /** Filled up in the breaks it is full only where its end is said to be one. */
    @ParameterizedTest
    @CsvSource({"UNSTATED, false", "FULL, true"})
    void anOpportunityChargeClaimsNoFullOne(Ending ending, boolean full) {
        BatteryState state = nothing()
                .worked(40, 150)
                .and(new ChargeStarted(hoursAgo(24), ChargeKind.OPPORTUNITY, null))
                .ended(20, ending, 170.0)
                .state();
        assertThat(state.full().isYes()).isEqualTo(full);
    }

    @Test
    void oneThatWasFullAndIsChargedALittleMoreStaysFull() {
        BatteryState state = nothing()
                .worked(60, 150)
                .charged(40, 168)
                .chargeBegun(20)
                .ended(19, Ending.ENDED_EARLY, null)
                .state();
        assertThat(state.full().isYes()).isTrue();
        assertThat(state.full().since()).isEqualTo(hoursAgo(40));
    }

    @Test
    void anEqualiseFollowsAFullChargeAndMakesUpForNone() {
        assertThat(nothing()
                        .worked(60, 150)
                        .charged(40, 168)
                        .equalised(36)
                        .state()
                        .full()
                        .signs())
                .contains(FullSign.EQUALISED, FullSign.RETURNED);
        assertThat(nothing().worked(60, 150).equalised(36).state().full().value())
                .isEqualTo(Answer.UNKNOWN);
        BatteryState read =
                nothing().worked(60, 150).charged(40, 168).equalised(36).state();
        assertThat(read.roundState()).isEqualTo(RoundState.AFTER_EQUALISE);
        assertThat(nothing().worked(60, 150).charged(40, 168).state().roundState())
                .isEqualTo(RoundState.FULL_CHARGE);
        assertThat(nothing().worked(20, 150).state().roundState()).isEqualTo(RoundState.IN_SERVICE);
    }

    /** Thirty days a full battery counts as full; standing takes five parts of a hundred a month, give or take. */
    @ParameterizedTest
    @CsvSource({"29, YES", "31, UNKNOWN", "60, UNKNOWN"})
    void afterAMonthOfStandingNobodyKnows(int days, Answer full) {
        BatteryState state = nothing()
                .worked(days * 24.0 + 20, 150)
                .charged(days * 24.0, 168)
                .state();
        assertThat(state.full().value()).isEqualTo(full);
        double months = days * 24 / 730.0;
        assertThat(state.charge().likely()).isCloseTo(1 - 0.05 * months, within(0.011));
        assertThat(state.charge().low()).isLessThan(state.charge().likely());
        assertThat(state.charge().high()).isGreaterThanOrEqualTo(state.charge().likely());
    }

    /** A shift of 150 of 300 Ah leaves a half, a log's tenth either way. */
    @Test
    void workLeavesWhatIsLeft() {
        ChargeRange left = nothing()
                .worked(60, 100)
                .charged(40, 110)
                .worked(20, 150)
                .state()
                .charge();
        assertThat(left.likely()).isCloseTo(0.5, within(0.02));
        assertThat(left.low()).isBetween(0.38, 0.46);
        assertThat(left.high()).isBetween(0.53, 0.56);
        assertThat(left.basis()).isEqualTo(Basis.WORK);
        assertThat(left.isKnown()).isTrue();
        assertThat(left.percent().percent()).isBetween(48, 52);
    }

    @Test
    void aShiftWithoutAFigureMayHaveTakenMuchOrLittle() {
        ChargeRange left =
                nothing().worked(60, 100).charged(40, 110).worked(20, 0).state().charge();
        assertThat(left.low()).isLessThan(0.2);
        assertThat(left.high()).isGreaterThan(0.95);
        assertThat(left.isKnown()).isFalse();
    }

    @Test
    void aPartChargePutsBackWhatItDoes() {
        ChargeRange now = nothing()
                .worked(60, 100)
                .charged(40, 110)
                .worked(30, 180)
                .ended(20, Ending.ENDED_EARLY, 90.0)
                .state()
                .charge();
        assertThat(now.likely()).isCloseTo(0.4 + 0.9 * 0.3, within(0.02));
        assertThat(now.basis()).isEqualTo(Basis.PART_CHARGE);
    }

    @Test
    void oneThatStoodFlatIsEmptyUntilAFullChargeForgetsIt() {
        Told flat = nothing().and(new StoodFlat(hoursAgo(30), Duration.ofHours(48)));
        assertThat(flat.state().charge().high()).isLessThanOrEqualTo(0.15);
        assertThat(flat.state().charging().stoodFlat()).isEqualTo(hoursAgo(30));
        assertThat(flat.ended(10, Ending.FULL, null, FullSign.STEADY_VOLTAGE)
                        .state()
                        .charging()
                        .stoodFlat())
                .isNull();
    }

    /** 1.217 of 1.140 to 1.285 lies in the middle; six cells place it within seven parts of a hundred. */
    @Test
    void aSoundRoundAnchorsTheCharge() {
        ChargeRange read = nothing()
                .worked(30, 150)
                .read(5, RoundState.IN_SERVICE, 1212, 1213, 1212, 1211, 1213, 1212)
                .state()
                .charge();
        assertThat(read.basis()).isEqualTo(Basis.GRAVITY);
        assertThat(read.likely()).isCloseTo(0.5, within(0.06));
        assertThat(read.high() - read.low()).isCloseTo(0.14, within(0.01));
    }

    /** In the window it is full, 5 points below it still; lower it is not, unless it was read on a charge that falls short. */
    @ParameterizedTest
    @CsvSource({
        "1285, REST, YES",
        "1270, REST, YES",
        "1269, REST, NO",
        "1175, REST, NO",
        "1269, FULL_CHARGE, UNKNOWN",
        "1175, FULL_CHARGE, NO"
    })
    void aRoundInTheWindowShowsThatItIsFull(int points, RoundState on, Answer full) {
        BatteryState state = nothing()
                .read(20, on, points, points, points, points, points, points)
                .state();
        assertThat(state.full().value()).isEqualTo(full);
        assertThat(state.full().signs().contains(FullSign.GRAVITY)).isEqualTo(full == Answer.YES);
    }

    @Test
    void restVoltageAnchorsTheChargeButNotWhileOneRuns() {
        RestVoltageRead read = new RestVoltageRead(hoursAgo(2), Volts.of(2.05));
        assertThat(nothing().and(read).state().charge().basis()).isEqualTo(Basis.REST_VOLTAGE);
        assertThat(nothing().chargeBegun(3).and(read).state().charge().basis()).isEqualTo(Basis.NOTHING);
    }

    /** Told twice it is one charge; forgotten for two days nothing is known any more, four days for a long kind. */
    @Test
    void aChargeRunsUntilItIsEndedOrForgotten() {
        BatteryState running =
                nothing().worked(12, 150).chargeBegun(5).chargeBegun(4).state();
        assertThat(running.phase()).isEqualTo(Phase.CHARGING);
        assertThat(running.phaseSince()).isEqualTo(hoursAgo(5));
        assertThat(running.onCharge().charger()).isEqualTo("C1");
        assertThat(nothing().worked(60, 150).chargeBegun(47).state().isCharging())
                .isTrue();
        BatteryState forgotten = nothing().worked(60, 150).chargeBegun(49).state();
        assertThat(forgotten.isCharging()).isFalse();
        assertThat(forgotten.full().value()).isEqualTo(Answer.UNKNOWN);
        ChargeStarted sulfated = new ChargeStarted(hoursAgo(80), ChargeKind.SULFATED, null);
        assertThat(nothing().and(sulfated).state().isCharging()).isTrue();
        ChargeStarted long_gone = new ChargeStarted(hoursAgo(100), ChargeKind.SULFATED, null);
        assertThat(nothing().and(long_gone).state().isCharging()).isFalse();
    }

    @Test
    void workEndsAChargeThatNobodyEnded() {
        BatteryState state = nothing().chargeBegun(20).worked(10, 100).state();
        assertThat(state.isCharging()).isFalse();
        assertThat(state.full().isNo()).isTrue();
        assertThat(state.charging().worked()).isEqualTo(hoursAgo(10));
    }

    /** Eight hours it cools, or until its tag shows that it is within a few kelvin of the room. */
    @ParameterizedTest
    @CsvSource({"7.9, , , true", "8, , , false", "2, 36, 22, true", "2, 24, 22, false"})
    void aFullBatteryCoolsBeforeItWorks(double endedAgo, Double battery, Double room, boolean cooling) {
        Told told = nothing().worked(30, 150).charged(endedAgo, 168);
        if (battery != null) {
            told.around(new Surroundings(Celsius.of(battery), Celsius.of(room), List.of(), null, null));
        }
        BatteryState state = told.state();
        assertThat(state.heat().isCooling()).isEqualTo(cooling);
        assertThat(state.phase()).isEqualTo(cooling ? Phase.COOLING : Phase.READY);
        assertThat(state.heat().coolingLeft().isZero()).isEqualTo(!cooling);
        if (cooling) {
            assertThat(state.heat().coolingUntil()).isEqualTo(hoursAgo(endedAgo).plus(Duration.ofHours(8)));
            assertThat(state.phaseSince()).isEqualTo(hoursAgo(endedAgo));
        }
    }

    /** A cool reading counts four hours, a hot one its cooling hours. */
    @ParameterizedTest
    @CsvSource({"3, 25, true", "5, 25, false", "5, 45, true", "8, 45, true", "9, 45, false"})
    void aTemperatureIsGoodForSomeHours(double hours, double celsius, boolean known) {
        BatteryState state = nothing().warm(hours, celsius).state();
        assertThat(state.heat().temperature() != null).isEqualTo(known);
        assertThat(state.heat().isTooHotToCharge())
                .isEqualTo(!known ? Answer.UNKNOWN : celsius >= 40 ? Answer.YES : Answer.NO);
        assertThat(state.heat().isCooling()).isEqualTo(known && celsius >= 40 && hours < 8);
    }

    @ParameterizedTest
    @CsvSource({"39.9, NO, false", "40, YES, false", "48.9, YES, false", "49, YES, true"})
    void heatHasItsLimits(double celsius, Answer tooHot, boolean stop) {
        BatteryState state = nothing().warm(1, celsius).state();
        assertThat(state.heat().isTooHotToCharge()).isEqualTo(tooHot);
        assertThat(state.isAboveStop()).isEqualTo(stop);
    }

    @Test
    void oneThatRestedItsCoolingHoursIsNotTooHot() {
        assertThat(nothing().worked(9, 150).state().heat().isTooHotToCharge()).isEqualTo(Answer.NO);
        assertThat(nothing().worked(7, 150).state().heat().isTooHotToCharge()).isEqualTo(Answer.UNKNOWN);
        assertThat(nothing().worked(12, 150).chargeBegun(9).state().heat().isTooHotToCharge())
                .isEqualTo(Answer.UNKNOWN);
    }
}
