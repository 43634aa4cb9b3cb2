package org.ostendum.app.charging;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
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
