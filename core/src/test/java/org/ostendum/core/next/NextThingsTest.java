package org.ostendum.core.next;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.Told;

class NextThingsTest {
    private static List<NextThing> things(Told told) {
        return NextThings.of("T-1", told.state());
    }

    private static List<NextStep> steps(Told told) {
        return things(told).stream().map(NextThing::step).toList();
    }

    @Test
    void aBatteryInOrderAsksForNothing() {
        assertThat(steps(Told.inOrder())).isEmpty();
    }

    @Test
    void whatWasDoneSinceTheRoundLeadsOn() {
        Told uneven = Told.inOrder()
                .read(19, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1271)
                .read(18, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1255);
        assertThat(steps(uneven)).containsExactly(NextStep.EQUALISE);
        assertThat(steps(uneven.equalised(12))).containsExactly(NextStep.READ_AFTER_EQUALISE);
        assertThat(steps(uneven.read(11, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1285, 1284, 1280)))
                .isEmpty();
    }

    /** The gate of equalising is shut while a battery is not full: nobody is sent through it. */
    @Test
    void whatIsToBeEqualisedAndHasWorkedIsChargedFirst() {
        Told worked = Told.inOrder()
                .read(19, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1271)
                .read(18, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1255)
                .worked(2, 60);
        assertThat(worked.state().full().isNo()).isTrue();
        assertThat(NextThings.of("T-05", worked.state())).singleElement().satisfies(thing -> {
            assertThat(thing.step()).isEqualTo(NextStep.CHARGE);
            assertThat(thing.reason()).isEqualTo(Message.of("next.charge.equalise"));
        });
        assertThat(steps(worked.charged(1, 66))).containsExactly(NextStep.EQUALISE);
    }

    /** Nobody equalised it for more than a month: it is due as a round is, straight after its full charge, and before water. */
    @Test
    void whatTheCalendarEqualisesIsDueWhileItIsFull() {
        Told due = Told.nothing()
                .watered(30 * 24, 400)
                .worked(31 * 24, 150)
                .charged(31 * 24 - 10, 168)
                .equalised(31 * 24 - 15)
                .read(170, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285)
                .worked(32, 150);
        assertThat(steps(due)).doesNotContain(NextStep.EQUALISE, NextStep.WATER);
        assertThat(things(due.charged(20, 168)))
                .filteredOn(thing -> thing.step() == NextStep.EQUALISE)
                .singleElement()
                .satisfies(thing -> {
                    assertThat(thing.severity()).isEqualTo(Severity.WATCH);
                    assertThat(thing.reason()).isEqualTo(Message.of("equalise.calendar", 30, 30));
                });
        assertThat(due.state().waterDue())
                .matches(water -> water.isDue(due.state().asOf()));
        assertThat(steps(due)).doesNotContain(NextStep.WATER);
        assertThat(steps(due.equalised(10))).doesNotContain(NextStep.EQUALISE).contains(NextStep.WATER);
    }

    /** What is over the mark is drawn off before a current goes through it, also a low one. */
    @Test
    void whatIsKeptFromChargeIsNotEqualisedByTheCalendar() {
        Told over = Told.nothing()
                .charged(31 * 24, 168)
                .worked(32, 150)
                .charged(20, 168)
                .read(10, RoundState.FULL_CHARGE, Level.OVER, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(steps(over)).containsExactly(NextStep.DRAW_OFF);
        assertThat(steps(over.and(new BatteryEvent.DrewOff(Told.hoursAgo(1), null, null))))
                .containsExactly(NextStep.EQUALISE);
    }

    @Test
    void barePlatesAreCoveredThenChargedThenFilled() {
        Told bare = Told.inOrder().worked(6, 150).looked(5, Level.RIGHT, Level.EXPOSED);
        assertThat(steps(bare)).containsExactly(NextStep.COVER_PLATES);
        assertThat(steps(bare.watered(4, 20, BatteryEvent.Fill.COVERED))).containsExactly(NextStep.CHARGE);
        bare.charged(1, 170);
        assertThat(steps(bare)).containsExactly(NextStep.WATER);
        assertThat(steps(bare.watered(0.5, 300, BatteryEvent.Fill.TO_MARK))).isEmpty();
    }

    @Test
    void overTheMarkIsDrawnOffAndNotWatered() {
        Told over = Told.inOrder().looked(5, Level.OVER, Level.OVER, Level.LOW);
        assertThat(steps(over)).containsExactly(NextStep.DRAW_OFF);
        assertThat(steps(over.and(new BatteryEvent.DrewOff(Told.hoursAgo(1), null, null))))
                .containsExactly(NextStep.WATER);
    }

    @Test
    void nothingIsReadOrWateredWhileItCharges() {
        assertThat(steps(Told.nothing().watered(2000, 500).looked(6, Level.LOW).chargeBegun(3)))
                .isEmpty();
    }

    @Test
    void aBatteryThatGetsTooHotOnChargeIsStopped() {
        Told hot = Told.inOrder().worked(5, 150).chargeBegun(3).warm(0.2, 51);
        assertThat(things(hot)).singleElement().satisfies(thing -> {
            assertThat(thing.step()).isEqualTo(NextStep.COOL);
            assertThat(thing.severity()).isEqualTo(Severity.STOP);
            assertThat(thing.reason().key()).isEqualTo("next.hot.charging");
        });
    }

    /** Sparks and gas: a loose lug on charge does not wait for the charge’s end. */
    @ParameterizedTest
    @CsvSource({
        "LOOSE_POST, STOP, next.defect.charging",
        "BLOCKED_VENT, STOP, next.defect.charging",
        "AFTER_INCIDENT, STOP, next.defect.charging",
        "CORRODED_POST, WATCH, next.defect"
    })
    void aDefectWithWhichNoCurrentMayFlowEndsTheCharge(DefectKind kind, Severity severity, String reason) {
        Told charging = Told.inOrder().worked(5, 150).chargeBegun(3).found(0.5, kind);
        assertThat(things(charging)).singleElement().satisfies(thing -> {
            assertThat(thing.step()).isEqualTo(NextStep.RIGHT_DEFECT);
            assertThat(thing.severity()).isEqualTo(severity);
            assertThat(thing.reason().key()).isEqualTo(reason);
        });
        assertThat(charging.state().isChargeToBeEnded()).isEqualTo(severity == Severity.STOP);
        assertThat(charging.state().severity()).isEqualTo(severity);
    }

    @Test
    void aDefectIsAThingToDo() {
        assertThat(things(Told.inOrder().found(3, DefectKind.LOOSE_POST)))
                .singleElement()
                .satisfies(thing -> {
                    assertThat(thing.step()).isEqualTo(NextStep.RIGHT_DEFECT);
                    assertThat(thing.procedure()).isEqualTo("renew-connections");
                });
    }

    @Test
    void whatStoodFlatIsChargedWithinHours() {
        Told flat = Told.inOrder().and(new BatteryEvent.StoodFlat(Told.hoursAgo(2), Duration.ofHours(48)));
        assertThat(steps(flat)).containsExactly(NextStep.CHARGE);
        assertThat(things(flat).get(0).reason().key()).isEqualTo("next.charge.stood-flat");
    }

    /** 300 Ah: what is left of it by the book, never by a gravity from before the work. */
    @ParameterizedTest
    @CsvSource({"200, false", "220, false", "226, true"})
    void aLowBatteryIsCharged(double taken, boolean charge) {
        assertThat(steps(Told.inOrder().worked(1, taken)).contains(NextStep.CHARGE))
                .isEqualTo(charge);
    }

    @Test
    void aDryBatteryIsCommissioned() {
        assertThat(steps(Told.nothing().and(new BatteryEvent.Arrived(Told.hoursAgo(5), true))))
                .containsExactly(NextStep.COMMISSION);
    }

    @ParameterizedTest
    @CsvSource({"20, false", "21, true", "30, true"})
    void aRoundIsDueByTheCalendar(int lastRound, boolean due) {
        Told told = Told.nothing().read(24 * lastRound, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(steps(told).contains(NextStep.TAKE_ROUND)).isEqualTo(due);
    }

    @Test
    void waterIsDueOnlyOnAFullBattery() {
        Told full = Told.nothing()
                .watered(480, 300)
                .worked(40, 150)
                .charged(20, 170)
                .read(19, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(steps(full)).containsExactly(NextStep.WATER);
        assertThat(steps(full.worked(2, 20))).isEmpty();
    }

    @Test
    void theWorstComesFirst() {
        NextThing round = thing("B", NextStep.TAKE_ROUND, Severity.WATCH, 9);
        NextThing stop = thing("C", NextStep.COVER_PLATES, Severity.STOP, 0);
        NextThing late = thing("A", NextStep.TAKE_ROUND, Severity.WATCH, 30);
        assertThat(Stream.of(round, stop, late).sorted(NextThing.MOST_URGENT)).containsExactly(stop, late, round);
    }

    private static NextThing thing(String code, NextStep step, Severity severity, long overdue) {
        return new NextThing(
                code,
                step,
                severity,
                step.job(),
                Message.of("j"),
                Message.of("r"),
                null,
                overdue,
                NextThing.Time.minutes(5, 5));
    }

    @ParameterizedTest
    @CsvSource({"364, false", "365, true"})
    void aTopIsWashedEachYear(int washed, boolean due) {
        Told told = Told.inOrder().and(new BatteryEvent.Washed(Told.hoursAgo(24 * washed)));
        assertThat(steps(told)).isEqualTo(due ? List.of(NextStep.WASH) : List.of());
    }

    /** What is put away splits no water and does no work: the calendar of work says nothing of it. */
    @Test
    void whatIsPutAwayIsNotWateredOrReadByTheCalendar() {
        Told forgotten = Told.nothing()
                .watered(2420, 500)
                .charged(2400, 170)
                .read(2398, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(steps(forgotten)).contains(NextStep.TAKE_ROUND);
        assertThat(EqualiseProposal.of(forgotten.state())).isPresent();
        assertThat(forgotten.state().waterDue()).isNotNull();
        Told stored = forgotten.and(new BatteryEvent.PutInStore(Told.hoursAgo(2300)));
        assertThat(steps(stored)).doesNotContain(NextStep.TAKE_ROUND, NextStep.WATER, NextStep.WASH, NextStep.EQUALISE);
        assertThat(EqualiseProposal.of(stored.state())).isEmpty();
        assertThat(stored.state().waterDue()).isNull();
    }

    @Test
    void whatWasEmptiedByATestIsChargedAtOnce() {
        Told tested = Told.inOrder().and(new BatteryEvent.CapacityTested(Told.hoursAgo(3), AmpHours.of(120), 0.84));
        assertThat(tested.state().tests().isRechargeDue()).isTrue();
        assertThat(tested.state().tests().part()).isEqualTo(0.84);
        assertThat(things(tested)).anySatisfy(thing -> {
            assertThat(thing.step()).isEqualTo(NextStep.CHARGE);
            assertThat(thing.reason().key()).isEqualTo("next.charge.tested");
        });
        assertThat(tested.charged(1, 170).state().tests().isRechargeDue()).isFalse();
    }

    /** Six rounds a fortnight apart, the last three of them 22 points lower. */
    private static Told lowerOfLate(int lastCellBelow) {
        Told told = Told.nothing();
        for (int round = 6; round >= 1; round--) {
            int read = round > 3 ? 1285 : 1263;
            int then = 24 * 14 * round;
            told.worked(then + 12, 150)
                    .charged(then + 2, 175)
                    .read(
                            then,
                            RoundState.FULL_CHARGE,
                            Level.RIGHT,
                            read,
                            read,
                            read,
                            read,
                            read,
                            read - lastCellBelow);
        }
        return told;
    }

    /** A hydrometer that reads low since three rounds makes a sound battery look short of charge. */
    @Test
    void whereTheWholeRoomReadsLowTheHydrometerComesFirst() {
        Told low = lowerOfLate(0);
        BatteryCourse course = low.state().course();
        SharedShift shift = SharedShift.of(Collections.nCopies(4, course), Instant.EPOCH, Told.NOW)
                .orElseThrow();
        List<NextThing> alone = things(low);
        assertThat(alone.get(0).step()).isNotEqualTo(NextStep.COMPARE_HYDROMETER);
        assertThat(alone.get(0).severity()).isEqualTo(Severity.ACT);
        low.around(Surroundings.NOTHING.with(shift));
        assertThat(low.state().doubt()).isEqualTo(shift);
        List<NextThing> withTheRoom = things(low);
        assertThat(withTheRoom.get(0).step()).isEqualTo(NextStep.COMPARE_HYDROMETER);
        assertThat(withTheRoom.get(0).reason()).isEqualTo(Message.of("next.hydrometer", 22));
        assertThat(withTheRoom)
                .filteredOn(thing -> thing.step() == alone.get(0).step())
                .allSatisfy(thing -> assertThat(thing.severity()).isEqualTo(Severity.WATCH));
    }

    /** What is worst may be another thing; what the low readings say is doubted all the same, and not only made light of. */
    @Test
    void aDoubtedFindingBehindAnotherPutsTheHydrometerFirstAsWell() {
        Told low = lowerOfLate(60);
        SharedShift shift = SharedShift.of(Collections.nCopies(4, low.state().course()), Instant.EPOCH, Told.NOW)
                .orElseThrow();
        low.around(Surroundings.NOTHING.with(shift));
        assertThat(low.state().findings()).hasSizeGreaterThan(1);
        assertThat(low.state().doubt()).isNull();
        assertThat(low.state().findings())
                .anySatisfy(finding -> assertThat(low.state().doubt(finding)).isEqualTo(shift));
        assertThat(steps(low)).contains(NextStep.COMPARE_HYDROMETER);
    }

    /** Nobody is sent to open the cells of a battery that gasses, whatever he draws from them for. */
    @Test
    void theHydrometerIsNotComparedAtABatteryOnCharge() {
        Told low = lowerOfLate(0);
        SharedShift shift = SharedShift.of(Collections.nCopies(4, low.state().course()), Instant.EPOCH, Told.NOW)
                .orElseThrow();
        low.around(Surroundings.NOTHING.with(shift));
        assertThat(steps(low)).contains(NextStep.COMPARE_HYDROMETER);
        low.worked(5, 150).chargeBegun(3);
        assertThat(steps(low)).doesNotContain(NextStep.COMPARE_HYDROMETER);
    }

    @Test
    void aBatteryThatReadsAsItDidIsNotDoubted() {
        SharedShift shift = new SharedShift(Told.hoursAgo(24 * 40), new GravityDifference(-220), 5, 6);
        assertThat(Told.inOrder()
                        .around(Surroundings.NOTHING.with(shift))
                        .state()
                        .doubt())
                .isNull();
    }

    @Test
    void whatADriverSaysIsWorkedUp() {
        Told complained = Told.inOrder()
                .around(new Surroundings(null, null, List.of(), null, null, Told.hoursAgo(2), null, null));
        assertThat(steps(complained)).containsExactly(NextStep.WORK_UP);
    }

    @Test
    void afterAYearOtherBlocksTakeTheirTurnUnderATap() {
        assertThat(steps(Told.inOrder().around(tapped(24 * 360)))).isEmpty();
        Told longAgo = Told.inOrder().around(tapped(24 * 366));
        assertThat(steps(longAgo)).containsExactly(NextStep.MOVE_TAP);
        assertThat(steps(longAgo.and(new BatteryEvent.BlocksMoved(Told.hoursAgo(10), List.of(2, 1)))))
                .isEmpty();
    }

    private static Surroundings tapped(int hoursAgo) {
        return new Surroundings(null, null, List.of(), null, null, null, Told.hoursAgo(hoursAgo), null);
    }
}
