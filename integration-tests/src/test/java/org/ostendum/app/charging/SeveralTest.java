package org.ostendum.app.charging;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.state.BatteryState;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** A row plugged in and unplugged at once is the same as one battery after the other. */
class SeveralTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Chargers chargers;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private Ledger ledger;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private People people;

    private AsPerson tom;

    @BeforeEach
    void signIn() {
        tom = AsPerson.tom(mvc);
    }

    private Battery withCharger(String code) {
        Battery battery = own.full(code, "T-04");
        if (chargers.byCode("C" + code).isEmpty()) {
            BatteryEvent worked =
                    new BatteryEvent.Worked(batteryStates.instant().minus(Duration.ofHours(2)), AmpHours.of(300));
            record.record(
                    battery,
                    List.of(LedgerEvents.entry(
                            worked, people.byLogin("tom").orElseThrow().id(), "")));
            chargers.add(
                    battery.slotId(),
                    ChargerSheet.ofPlate("C" + code, battery.type().model().cells(), new Amperes(96)));
        }
        return battery;
    }

    private BatteryState state(Battery battery) {
        return batteryStates.stateOf(batteries.byId(battery.id()).orElseThrow());
    }

    @Test
    void thoseTappedChargeAndComeOffOnTheLampAlone() throws Exception {
        Battery first = withCharger("R-1");
        Battery second = withCharger("R-2");
        Battery third = own.full("R-3", "T-04");
        assertThat(tom.page("/charging/several?find=R-"))
                .contains("R-1", "CR-1", "R-2", "Case, cables and plug whole", "The charger is off");

        MockHttpServletResponse both =
                tom.send("/charging/several/on", "battery", "R-1", "battery", "R-2", "battery", "R-1");
        assertThat(both.getStatus()).isEqualTo(302);
        assertThat(state(first).isCharging()).isTrue();
        assertThat(state(second).isCharging()).isTrue();
        assertThat(ledger.ofBattery(first.id(), null, 5))
                .anyMatch(line -> line.payload().contains("CR-1"));

        // One is charging already, one has no charger of its own, one is nobody's.
        MockHttpServletResponse refused =
                tom.send("/charging/several/on", "battery", "R-1", "battery", "R-3", "battery", "R-9");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(refused.getContentAsString())
                .contains("R-1: ", "R-3: No charger is known", "R-9: There is no battery of this code");
        assertThat(state(third).isCharging()).isFalse();

        assertThat(tom.page("/charging/several?find=R-")).contains("lamp alone");
        tom.send("/charging/several/off", "battery", "R-1", "battery", "R-2");
        assertThat(state(first).isCharging()).isFalse();
        assertThat(state(first).full().isYes()).isFalse();
        assertThat(state(first).full().signs()).containsExactly(FullSign.LAMP);
        assertThat(tom.send("/charging/several/off", "battery", "R-2").getContentAsString())
                .contains("R-2: ");
    }

    @Test
    void nobodyIsPickedAndNothingHappens() throws Exception {
        assertThat(tom.send("/charging/several/on").getContentAsString()).contains("Tap at least one");
        assertThat(new AsPerson(mvc, "vera", "VIEWER")
                        .send("/charging/several/on", "battery", "T-04")
                        .getStatus())
                .isEqualTo(403);
    }

    /** Bare plates keep one from the row, in the words of its own job; the others are charged. */
    @Test
    void aShutGateKeepsOneFromTheRow() throws Exception {
        assertThat(tom.page("/charging/several?find=T-22")).contains("Plates show in T-22");
        Battery fourth = withCharger("R-4");
        MockHttpServletResponse answer = tom.send("/charging/several/on", "battery", "T-22", "battery", "R-4");
        assertThat(answer.getContentAsString()).contains("On charge, 1: R-4", "T-22: Plates show");
        assertThat(state(fourth).isCharging()).isTrue();
    }

    @Test
    void carsAreChargedByWhatTheyHaveOnBoard() throws Exception {
        Battery car = batteries.byCode("G-01").orElseThrow();
        String code =
                chargers.byId(chargers.usualOf(car).orElseThrow()).orElseThrow().code();
        assertThat(code).isEqualTo("OB-" + car.machineCode());
        assertThat(tom.page("/charging/several?find=G-01")).contains("G-01", code);
    }
}
