package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.ostendum.core.state.Told.hoursAgo;
import static org.ostendum.core.state.Told.nothing;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Arrived;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Commissioned;
import org.ostendum.core.event.BatteryEvent.DrewOff;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Held;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Moved;
import org.ostendum.core.event.BatteryEvent.PutInStore;
import org.ostendum.core.event.BatteryEvent.Released;
import org.ostendum.core.event.BatteryEvent.Retired;
import org.ostendum.core.event.BatteryEvent.TemperatureRead;
import org.ostendum.core.event.BatteryEvent.Washed;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.fact.OpenDefect;
import org.ostendum.core.state.fact.Place;
import org.ostendum.core.state.fact.Stage;

/** Where a battery stands in its life, what is wrong with it, and which figures are odd for it. */
class StageAndDefectsTest {
    @Test
    void aDryBatteryBecomesOneInService() {
        Told dry = nothing().and(new Arrived(hoursAgo(100), true));
        assertThat(dry.state().stage()).isEqualTo(Stage.DRY);
        assertThat(dry.state().stageSince()).isEqualTo(hoursAgo(100));
        assertThat(dry.chargeBegun(90).state().stage())
                .as("an ordinary charge is no first one")
                .isEqualTo(Stage.DRY);
        Told first = nothing()
                .and(new Arrived(hoursAgo(100), true))
                .and(new ChargeStarted(hoursAgo(90), ChargeKind.INITIAL, null));
        assertThat(first.state().stage()).isEqualTo(Stage.COMMISSIONING);
        assertThat(first.and(new Commissioned(hoursAgo(20))).state().stage()).isEqualTo(Stage.IN_SERVICE);
        assertThat(nothing().and(new Arrived(hoursAgo(9), false)).state().stage())
                .isEqualTo(Stage.IN_SERVICE);
    }

    @Test
    void heldItWaitsUntilItIsReleased() {
        Told held = nothing().and(new Held(hoursAgo(9), "post is loose"));
        assertThat(held.state().stage()).isEqualTo(Stage.HELD);
        assertThat(held.state().heldFor()).isEqualTo("post is loose");
        BatteryState free = held.and(new Released(hoursAgo(3))).state();
        assertThat(free.stage()).isEqualTo(Stage.IN_SERVICE);
        assertThat(free.heldFor()).isNull();
        assertThat(free.stageSince()).isEqualTo(hoursAgo(3));
    }

    @Test
    void storedItIsBackBySomebodysWordOrByWork() {
        Told stored = nothing().and(new PutInStore(hoursAgo(50)));
        assertThat(stored.state().stage()).isEqualTo(Stage.STORED);
        assertThat(stored.worked(5, 50).state().stage()).isEqualTo(Stage.IN_SERVICE);
        assertThat(nothing()
                        .and(new PutInStore(hoursAgo(50)))
                        .and(new Released(hoursAgo(5)))
                        .state()
                        .stage())
                .isEqualTo(Stage.IN_SERVICE);
        BatteryState gone = nothing()
                .and(new Retired(hoursAgo(5)), new Released(hoursAgo(1)))
                .state();
        assertThat(gone.stage()).isEqualTo(Stage.RETIRED);
        assertThat(gone.stage().isUsable()).isFalse();
    }

    @Test
    void placeAndCareAreWhatWasToldLast() {
        BatteryState state = nothing()
                .and(new Moved(hoursAgo(9), "Stand A 3", null), new Washed(hoursAgo(8)))
                .and(new Moved(hoursAgo(3), null, "F7"))
                .read(2, RoundState.REST, 1285, 1284, 1280, 1285, 1284, 1285)
                .state();
        assertThat(state.place()).isEqualTo(new Place(null, "F7"));
        assertThat(state.care().washed()).isEqualTo(hoursAgo(8));
        assertThat(state.roundAt()).isEqualTo(hoursAgo(2));
        assertThat(state.lowestGravity().points()).isEqualTo(1280);
    }

    @Test
    void defectsOfTheBatteryAndOfItsMachineStandTogether() {
        OpenDefect machines = new OpenDefect("m", DefectKind.values()[0], hoursAgo(4));
        BatteryState state = nothing()
                .found(9, DefectKind.LOOSE_POST)
                .found(8, DefectKind.WORN_PLUG)
                .righted(5, DefectKind.WORN_PLUG)
                .around(new Surroundings(null, null, List.of(machines), null, null))
                .state();
        assertThat(state.defects())
                .extracting(OpenDefect::kind)
                .containsExactly(DefectKind.LOOSE_POST, DefectKind.values()[0]);
        assertThat(state.severity())
                .isEqualTo(
                        DefectKind.LOOSE_POST.severity().worse(machines.kind().severity()));
        assertThat(nothing().state().severity()).isEqualTo(Severity.FIT);
    }

    @Test
    void chargingAboveItsStopIsAStop() {
        assertThat(nothing().chargeBegun(3).warm(1, 49).state().severity()).isEqualTo(Severity.STOP);
        assertThat(nothing().warm(1, 49).state().severity()).isEqualTo(Severity.FIT);
    }

    @Test
    void theVerdictOfOneNeverReadSaysSoAndOfOneThatWorkedSinceThatItWasFitThen() {
        assertThat(nothing().state().verdict().sentence().key()).isEqualTo("verdict.never-read");
        Told read = nothing().read(20, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        assertThat(read.state().verdict().sentence().key()).isEqualTo("verdict.fit");
        assertThat(read.worked(5, 100).state().verdict().sentence().key()).isEqualTo("verdict.fit.when-read");
    }

    @Test
    void whatComesTooLateWantsAFoldFromTheBeginning() {
        BatteryFold fold = nothing().worked(5, 100).fold();
        BatteryEvent late = new Washed(hoursAgo(9));
        assertThatThrownBy(() -> fold.fold(late))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("washed");
    }

    @Test
    void aRoundToldTwiceIsOneRound() {
        Told once = nothing().read(20, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1285);
        BatteryFold fold = once.fold();
        fold.fold(once.events().get(0));
        assertThat(fold.rounds()).hasSize(1);
    }

    private static Optional<Plausible.Objection> objection(BatteryEvent event) {
        BatteryState full = nothing().worked(60, 100).charged(40, 110).state();
        return Plausible.objection(event, full);
    }

    private static void assertObjection(BatteryEvent event, String how) {
        Optional<Plausible.Objection> told = objection(event);
        assertThat(told.map(o -> o.canBeMeant() ? "odd" : "cannot").orElse("fine"))
                .as(event.toString())
                .isEqualTo(how);
        told.ifPresent(
                o -> assertThat(o.sentence().key()).startsWith("plausible.").endsWith(how));
    }

    /** Out of a full 300 Ah: 375 is odd, more than 450 cannot be. */
    @ParameterizedTest
    @CsvSource({"0, fine", "374, fine", "375, odd", "450, odd", "451, cannot"})
    void noMoreComesOutThanIsIn(double ampHours, String how) {
        assertObjection(new Worked(hoursAgo(1), ampHours == 0 ? null : AmpHours.of(ampHours)), how);
    }

    @ParameterizedTest
    @CsvSource({"0, fine", "450, fine", "451, odd", "750, odd", "751, cannot"})
    void noMoreGoesInThanABatteryTakes(double ampHours, String how) {
        assertObjection(ChargeEnded.unstated(hoursAgo(1), ampHours == 0 ? null : AmpHours.of(ampHours)), how);
    }

    @ParameterizedTest
    @CsvSource({"-41, cannot", "-40, odd", "-16, odd", "-15, fine", "60, fine", "61, odd", "90, odd", "91, cannot"})
    void electrolyteBearsOnlySoMuch(double celsius, String how) {
        assertObjection(new TemperatureRead(hoursAgo(1), Celsius.of(celsius)), how);
        assertObjection(new HottestOfCharge(hoursAgo(1), Celsius.of(celsius)), how);
    }

    @ParameterizedTest
    @CsvSource({"24, fine", "25, odd", "120, odd", "121, cannot"})
    void nobodyEqualisesForWeeks(int hours, String how) {
        assertObjection(new Equalised(hoursAgo(1), Duration.ofHours(hours)), how);
    }

    /** Between mark and plates of six cells of 300 Ah lie 1,080 ml; of one cell a sixth. */
    @ParameterizedTest
    @CsvSource({
        "0, , fine",
        "1296, , fine",
        "1297, , odd",
        "4320, , odd",
        "4321, , cannot",
        "216, 2, fine",
        "217, 2, odd",
        "721, 2, cannot"
    })
    void noMoreWaterGoesInThanThereIsRoom(int millilitres, Integer cell, String how) {
        Millilitres volume = millilitres == 0 ? null : new Millilitres(millilitres);
        assertObjection(new Watered(hoursAgo(1), volume, cell, Fill.UNSTATED), how);
        assertObjection(new DrewOff(hoursAgo(1), volume, cell), how);
    }

    @Test
    void whatHasNoFigureIsNotOdd() {
        assertThat(objection(new Washed(hoursAgo(1)))).isEmpty();
    }
}
