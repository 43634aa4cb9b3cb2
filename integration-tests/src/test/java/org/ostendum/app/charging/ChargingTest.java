package org.ostendum.app.charging;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.rulebook.Severity;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

class ChargingTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private ChargingViews views;

    private AsPerson tom;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
    }

    @Test
    void whatIsOnChargeHasItsTimeLearnedFromItsOwnPast() throws Exception {
        ChargingView view = views.view(false);
        List<ChargingView.Running> ofTheDemo = view.running().stream()
                .filter(r -> List.of("A-2", "T-05", "T-20", "T-30")
                        .contains(r.battery().code()))
                .toList();
        assertThat(ofTheDemo).isNotEmpty().allSatisfy(running -> {
            assertThat(running.whole().isLearned()).isTrue();
            assertThat(running.learnedFrom()).isGreaterThan(20);
            assertThat(running.earlyEnd()).isBeforeOrEqualTo(running.likelyEnd());
            assertThat(running.lateEnd()).isAfterOrEqualTo(running.likelyEnd());
            assertThat(running.part()).isBetween(0, 99);
        });
        assertThat(tom.page("/charging")).contains("learned from", "on charge", "Ready, longest waiting first");
    }

    @Test
    void theReadyRackHoldsOnlyWhatMayWorkTheLongestWaitingFirst() {
        ChargingView view = views.view(false);
        assertThat(view.ready()).isNotEmpty();
        view.ready().values().forEach(rack -> {
            assertThat(rack).extracting(ChargingView.ReadyLine::turn).isSorted();
            assertThat(rack).allSatisfy(line -> assertThat(
                            batteryStates.stateOf(line.battery()).verdict().severity())
                    .isLessThan(Severity.ACT));
        });
        assertThat(view.heldBack()).isPositive();
    }

    /** At the same voltage fewer cells get more each, and gas more: a bridged cell is none of them. */
    @Test
    void gasIsSummedUpOverTheCellsThatAreAtWork() {
        Battery battery = own.rested("GB" + UUID.randomUUID().toString().substring(0, 5), "T-04");
        Instant now = batteryStates.instant();
        record.record(
                battery,
                List.of(
                        LedgerEvents.entry(new BatteryEvent.CellBridged(now, 3, now.plus(Duration.ofDays(9))), 1, ""),
                        LedgerEvents.entry(new BatteryEvent.ChargeStarted(now, ChargeKind.CONVENTIONAL, null), 1, "")));
        ChargingView.Running running = views.view(false).running().stream()
                .filter(r -> r.battery().id() == battery.id())
                .findFirst()
                .orElseThrow();
        assertThat(running.cells()).isEqualTo(battery.type().model().cells() - 1);
        record.record(
                battery,
                List.of(LedgerEvents.entry(
                        new BatteryEvent.ChargeEnded(now.plusSeconds(1), Ending.BROKEN_OFF, Set.of(), null), 1, "")));
    }

    @Test
    void withTheFanOffThereIsMoreGasAndItIsSaid() throws Exception {
        assertThat(requireNonNull(views.view(true).air()).most())
                .isGreaterThan(requireNonNull(views.view(false).air()).most());
        assertThat(tom.page("/charging?fan=off")).contains("Fan off", "Show it with the fan on");
        assertThat(tom.page("/charging")).contains("Fan on", "m³ of air an hour");
    }

    @Test
    void eachChargerOfTheSiteIsJudgedForABattery() throws Exception {
        String page = tom.page("/batteries/T-07/chargers?charger=CK1");
        assertThat(page)
                .contains("CK1 must not charge it", "never together", "/batteries/T-07/jobs/charge")
                .contains("CA1");
        List<String> fit = Pattern.compile("<b class=\"fig\">(C\\w+)</b>")
                .matcher(page.substring(0, page.indexOf("and why")))
                .results()
                .map(r -> r.group(1))
                .toList();
        assertThat(fit).contains("CA1").doesNotContain("CK1");
        assertThat(tom.page("/batteries/T-07/chargers?charger=CA1")).contains("CA1 goes with it.");
        assertThat(tom.page("/batteries/T-07/chargers?charger=nothing")).contains("chargers go with it");
    }

    @Test
    void equalisingIsProposedWithItsReason() {
        assertThat(views.view(false).equalise()).isNotEmpty().allSatisfy(line -> assertThat(
                        batteries.byCode(line.battery().code()))
                .isPresent());
    }

    @Test
    void aChargeIsBegunFromTheChargerAsWell() throws Exception {
        String page = tom.page("/chargers/CA3");
        assertThat(page).contains("Put a battery on it", "Transformer taper", "swings with the mains");
        assertThat(page).contains("/batteries/T-01/jobs/charge?charger=CA3");
        assertThat(page).doesNotContain("/batteries/T-14/jobs/charge");
    }
}
