package org.ostendum.app.capacity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.device.FakeEquipment;
import org.ostendum.app.device.LoadBanks;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.Browser;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.app.support.FakeLineTest;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.CutOffForecast.Ends;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Capacity tests by the load bank, and what may happen between it and the application, in the test's own time. */
@FakeLineTest
@TestPropertySource(properties = "tests.site=equipment")
class LoadBankTest {
    private static final TestSheet SHEET = new TestSheet(
            TestKind.SIX_HOURS, Duty.MOTIVE, new Amperes(100), Duration.ofHours(6), 18, 1, Celsius.of(25));

    @LocalServerPort
    private int port;

    @Autowired
    private EquipmentSite site;

    @Autowired
    private FakeEquipment equipment;

    @Autowired
    private CapacityTests tests;

    @Autowired
    private Testing testing;

    @Autowired
    private LoadBanks banks;

    @Autowired
    private LoadBankWatch watch;

    @Autowired
    private Batteries batteries;

    @Autowired
    private BatteryStates states;

    @BeforeEach
    void fill() {
        site.fill(1);
        equipment.pass(FakeEquipment.STEP);
    }

    private CapacityTest begun(String code) {
        Battery battery = batteries.byCode(code).orElseThrow();
        long id =
                tests.begin(battery.id(), SHEET, true, "", 1, states.instant()).orElseThrow();
        assertThat(banks.start(battery, SHEET)).isTrue();
        return test(id);
    }

    private CapacityTest test(long id) {
        return tests.byId(id).orElseThrow();
    }

    private boolean passUntil(Duration most, BooleanSupplier holds) {
        return equipment.passUntil(most, () -> {
            watch.look();
            return holds.getAsBoolean();
        });
    }

    @Test
    void aTestRunsToItsCutOffByItselfAndTheRechargeIsDue() {
        CapacityTest test = begun("T-4");
        assertThat(passUntil(Duration.ofHours(3), () -> testing.course(test).ampHours() > 280))
                .isTrue();
        try (Browser hand = new Browser(port, 1280, 800)) {
            hand.signIn("tom");
            hand.go("/capacity/" + test.id());
            assertThat(hand.text("#said")).contains("to go", "Cut-off likely at", "the lowest");
            assertThat(hand.driver().findElements(By.cssSelector("#course svg polyline")))
                    .hasSizeGreaterThanOrEqualTo(2);
            String before = hand.text("#course .meter");
            passUntil(Duration.ofMinutes(12), () -> false);
            // The page moves by itself while the bank draws.
            hand.wait(Duration.ofSeconds(20))
                    .until(d -> !hand.text("#course .meter").equals(before));
        }
        Ends ends = testing.course(test).over().orElseThrow();
        assertThat(testing.course(test).worstLead()).isPresent();
        assertThat(passUntil(Duration.ofHours(6), () -> !test(test.id()).isOpen()))
                .isTrue();
        CapacityTest done = test(test.id());
        assertThat(done.end().kind()).isEqualTo(EndKind.CUT_OFF);
        assertThat(done.part()).isBetween(0.9, 1.15);
        double lasted = testing.course(done).last().orElseThrow().hours();
        assertThat(ends.likely()).isCloseTo(lasted, within(0.06 * lasted));
        var state = states.stateOf(batteries.byCode("T-4").orElseThrow());
        assertThat(state.tests().part()).isCloseTo(done.part(), within(0.001));
        assertThat(state.tests().isRechargeDue()).isTrue();
        assertThat(state.full().isNo()).isTrue();
        assertThat(tests.of(done.batteryId())).hasSize(1);
    }

    /** Killed, cut off or gone: what nobody hears is taken to be off, and goes on when it is heard to. */
    @Test
    void aSilentBankIsTakenAsOffAndGoesOnWhenItSpeaks() {
        CapacityTest test = begun("T-5");
        assertThat(passUntil(Duration.ofHours(1), () -> testing.course(test).ampHours() > 30))
                .isTrue();
        equipment.silent(true);
        assertThat(passUntil(Duration.ofMinutes(30), () -> test(test.id()).isInterrupted()))
                .isTrue();
        assertThat(states.stateOf(batteries.byCode("T-5").orElseThrow()).inHand())
                .isEqualTo("Capacity test");
        equipment.silent(false);
        assertThat(passUntil(Duration.ofMinutes(30), () -> !test(test.id()).isInterrupted()))
                .isTrue();

        // Our clock is corrected: the bank's own goes on dating what it reads.
        equipment.jump(Duration.ofHours(3));
        double before = testing.course(test).last().orElseThrow().hours();
        assertThat(passUntil(
                        Duration.ofMinutes(20),
                        () -> testing.course(test).last().orElseThrow().hours() > before))
                .isTrue();
        assertThat(testing.course(test).last().orElseThrow().hours()).isCloseTo(before, within(0.4));
        equipment.jump(Duration.ofHours(-3));

        // Started anew it knows of no test: a person goes on, or ends it with his reason.
        equipment.forget();
        assertThat(passUntil(Duration.ofMinutes(30), () -> test(test.id()).isInterrupted()))
                .isTrue();
        tests.resumed(test.id(), false);
        assertThat(test(test.id()).isByBank()).isFalse();
        assertThat(testing.end(test(test.id()), EndKind.BROKEN_OFF, "The bank is dead.", 1L, states.instant()))
                .isTrue();
        assertThat(testing.end(test(test.id()), EndKind.BROKEN_OFF, "Again.", 1L, states.instant()))
                .isFalse();
        var state = states.stateOf(batteries.byCode("T-5").orElseThrow());
        assertThat(state.tests().isRechargeDue()).isFalse();
        assertThat(state.full().isNo()).isTrue();
        assertThat(state.inHand()).isNull();
    }
}
