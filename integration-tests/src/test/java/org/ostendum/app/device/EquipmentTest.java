package org.ostendum.app.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.alarm.Alarms;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.charge.ChargerEvents;
import org.ostendum.app.charge.Charges;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.app.support.JumpingClock;
import org.ostendum.app.support.MariaDbServer;
import org.ostendum.app.support.StandInProcess;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.event.ChargeKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Real processes on both sides of the line, 240 times as fast as in life, and what may happen to them. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"ostendum.clock.speed=240", "ostendum.devices.hands=true"})
@Import(EquipmentSite.class)
@DirtiesContext
class EquipmentTest {
    private static final int SPEED = 240;
    private static final MariaDbServer DATABASE = new MariaDbServer(true);
    private static final StandInProcess STAND_INS = new StandInProcess(SPEED, EquipmentSite.BANK);

    @TestConfiguration
    static class Clocks {
        @Bean
        @Primary
        JumpingClock jumpingClock() {
            return new JumpingClock(SPEED);
        }
    }

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
        properties.add("spring.datasource.username", () -> "ostendum");
        properties.add("spring.datasource.password", () -> "ostendum");
    }

    @Autowired
    private EquipmentSite house;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Rooms rooms;

    @Autowired
    private Charges charges;

    @Autowired
    private ChargeRuns runs;

    @Autowired
    private ChargeReadings readings;

    @Autowired
    private ChargerEvents chargerEvents;

    @Autowired
    private Alarms alarms;

    @Autowired
    private DeviceStatuses statuses;

    @Autowired
    private JumpingClock clock;

    @BeforeEach
    void fill() {
        house.fill(STAND_INS.port());
    }

    @AfterEach
    void unplugAll() {
        batteries.all().forEach(charges::end);
    }

    private static void await(String what, int seconds, BooleanSupplier holds) throws InterruptedException {
        Instant end = Instant.now().plus(Duration.ofSeconds(seconds));
        while (!holds.getAsBoolean()) {
            assertThat(Instant.now()).as(what).isBefore(end);
            TimeUnit.MILLISECONDS.sleep(200);
        }
    }

    private Battery plug(int number) {
        Battery battery = batteries.byCode("T-" + number).orElseThrow();
        charges.begin(battery, rooms.chargerOver(battery.slotId()).orElseThrow(), ChargeKind.CONVENTIONAL);
        return battery;
    }

    private ChargeRun run(Battery battery) {
        return runs.openOf(battery.id()).orElseThrow();
    }

    private ChargerStatus.State state(Battery battery) {
        return statuses.charger(rooms.chargerOver(battery.slotId()).orElseThrow())
                .map(ChargerStatus::state)
                .orElse(ChargerStatus.State.EMPTY);
    }

    private List<ChargeSample> samples(Battery battery) {
        Instant since = run(battery).begunAt();
        return readings.samples(battery.id(), since, since.plus(Duration.ofDays(2)));
    }

    private boolean rings(AlarmKind kind, String about) {
        return alarms.open().stream()
                .anyMatch(a -> a.stands() && a.kind() == kind && a.about().equals(about));
    }

    private List<AlarmKind> ringing(String about) {
        return alarms.open().stream()
                .filter(a -> a.stands() && a.about().equals(about))
                .map(StandingAlarm::kind)
                .toList();
    }

    @Test
    void aChargeIsFollowedToItsLampWithItsMetersAndNoAlarm() throws Exception {
        Battery battery = plug(1);
        await("current", 20, () -> state(battery) == ChargerStatus.State.BULK);
        await("half an hour of samples", 60, () -> samples(battery).size() >= 12);
        assertThat(samples(battery)).allSatisfy(s -> assertThat(s.celsius()).isNotNull());

        await("its lamp", 900, () -> run(battery).meter().lampAt() != null);
        ChargeRun done = run(battery);
        assertThat(done.meter().ampHours()).isBetween(EquipmentSite.TAKEN * 1.05, EquipmentSite.TAKEN * 1.25);
        assertThat(done.kilowattHours()).isBetween(9.0, 15.0);
        assertThat(Duration.between(done.begunAt(), done.meter().lampAt()))
                .isBetween(Duration.ofHours(2), Duration.ofHours(7));
        assertThat(ringing("T-1")).isEmpty();
    }

    @Test
    void oneThatDoesNotStartAndOneThatStopsEarlyRingAndFallQuietWhenUnplugged() throws Exception {
        Battery dead = plug(3);
        Battery early = plug(2);
        await("no start", 20, () -> rings(AlarmKind.NOT_STARTED, "T-3"));
        assertThat(chargerEvents.of(rooms.chargerOver(dead.slotId()).orElseThrow(), 5))
                .extracting(ChargerEvents.Line::what)
                .contains(ChargerEvents.What.TROUBLE);
        await("too early", 400, () -> rings(AlarmKind.ENDED_EARLY, "T-2"));
        charges.end(dead);
        charges.end(early);
        await("quiet", 20, () -> ringing("T-3").isEmpty() && ringing("T-2").isEmpty());
    }

    @Test
    void killedStandInsAreMissedAndWhenTheyAreBackTheChargeGoesOn() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 5);
        STAND_INS.kill();
        String line = "127.0.0.1:" + STAND_INS.port();
        await("nothing heard", 40, () -> rings(AlarmKind.LINE_SILENT, line));
        assertThat(alarms.open())
                .filteredOn(StandingAlarm::stands)
                .extracting(StandingAlarm::kind)
                .doesNotContain(AlarmKind.NOT_HEARD);
        int before = samples(battery).size();
        assertThat(run(battery).meter().lampAt()).isNull();

        STAND_INS.start();
        await("heard again", 40, () -> !rings(AlarmKind.LINE_SILENT, line));
        await("more samples", 40, () -> samples(battery).size() > before + 5);
        assertThat(run(battery).meter().lampAt()).isNull();
        assertThat(samples(battery)).isSortedAccordingTo(Comparator.comparing(ChargeSample::at));
    }

    @Test
    void rustleOnTheLineIsNeitherFullNorAnAlarm() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 5);
        STAND_INS.say("garble 0.6");
        TimeUnit.SECONDS.sleep(12);
        STAND_INS.say("garble 0");

        assertThat(run(battery).meter().lampAt()).isNull();
        assertThat(alarms.open())
                .filteredOn(StandingAlarm::stands)
                .extracting(StandingAlarm::kind)
                .doesNotContain(
                        AlarmKind.OVER_TEMPERATURE, AlarmKind.GAS_STOP, AlarmKind.ENDED_EARLY, AlarmKind.NO_END);
    }

    @Test
    void slowAnswersAreStillHeard() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 3);
        STAND_INS.say("slow 200");
        int before = samples(battery).size();
        await("samples all the same", 60, () -> samples(battery).size() > before + 5);
        STAND_INS.say("slow 0");
        assertThat(ringing("T-6")).isEmpty();
    }

    @Test
    void aClockThatIsCorrectedMovesNothing() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 5);
        clock.jump(Duration.ofHours(3));
        TimeUnit.SECONDS.sleep(4);
        clock.jump(Duration.ofHours(-4));
        TimeUnit.SECONDS.sleep(4);
        clock.jump(Duration.ofHours(1));

        List<ChargeSample> samples = samples(battery);
        double hours = Duration.between(
                                samples.get(0).at(),
                                samples.get(samples.size() - 1).at())
                        .toSeconds()
                / 3600.0;
        assertThat(hours).isLessThan(2.0);
        assertThat(run(battery).meter().ampHours()).isLessThan(210.0);
        assertThat(run(battery).meter().lampAt()).isNull();
        assertThat(ringing("T-6")).isEmpty();
    }

    @Test
    void whatWasReadWhileTheDatabaseWasAwayIsThereAfterwards() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 5);
        Instant before = samples(battery).get(samples(battery).size() - 1).at();
        DATABASE.kill();
        TimeUnit.SECONDS.sleep(15);
        DATABASE.start();
        TimeUnit.SECONDS.sleep(10);

        List<ChargeSample> since =
                samples(battery).stream().filter(s -> s.at().isAfter(before)).toList();
        assertThat(since).hasSizeGreaterThan(20);
        for (int i = 1; i < since.size(); i++) {
            assertThat(Duration.between(since.get(i - 1).at(), since.get(i).at()))
                    .isLessThan(Duration.ofMinutes(12));
        }
    }
}
