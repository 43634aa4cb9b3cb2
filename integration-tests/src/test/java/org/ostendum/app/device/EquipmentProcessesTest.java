package org.ostendum.app.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.Ostendum;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.charge.SampleBuffer;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.app.support.MariaDbServer;
import org.ostendum.app.support.Patience;
import org.ostendum.app.support.StandInProcess;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.charge.ChargeSample;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Real processes on both sides of the line, 240 times as fast as in life, and what may happen to them. */
@SpringBootTest(
        classes = Ostendum.class,
        properties = {"ostendum.clock.speed=240", "ostendum.devices.hands=true"})
@Import(EquipmentSite.class)
@DirtiesContext
class EquipmentProcessesTest extends AtTheEquipment {
    private static final int SPEED = 240;
    private static final MariaDbServer DATABASE = new MariaDbServer(true);
    private static final StandInProcess STAND_INS = new StandInProcess(SPEED);

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
        properties.add("spring.datasource.username", () -> "ostendum");
        properties.add("spring.datasource.password", () -> "ostendum");
    }

    @Autowired
    private SampleBuffer samplesWaiting;

    @BeforeEach
    void fill() {
        site.fill(STAND_INS.port());
    }

    private static void await(String what, int seconds, Callable<Boolean> holds) {
        Patience.await(what, Duration.ofSeconds(seconds)).until(holds);
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
    void slowAnswersAreStillHeard() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 3);
        STAND_INS.say("slow 100");
        int before = samples(battery).size();
        await("samples all the same", 60, () -> samples(battery).size() > before + 2);
        STAND_INS.say("slow 0");
        assertThat(ringing("T-6")).isEmpty();
    }

    @Test
    void whatWasReadWhileTheDatabaseWasAwayIsThereAfterwards() throws Exception {
        Battery battery = plug(6);
        await("current", 20, () -> samples(battery).size() >= 5);
        Instant before = samples(battery).get(samples(battery).size() - 1).at();
        DATABASE.kill();
        await("samples that wait", 60, () -> samplesWaiting.size() > 20);
        int waiting = samplesWaiting.size();
        DATABASE.start();
        await("nothing waits", 60, () -> samplesWaiting.size() < 3);

        List<ChargeSample> since =
                samples(battery).stream().filter(s -> s.at().isAfter(before)).toList();
        // How far apart they lie is a matter of how busy the machine is.
        assertThat(since)
                .hasSizeGreaterThanOrEqualTo(waiting)
                .extracting(ChargeSample::at)
                .isSorted()
                .doesNotHaveDuplicates();
    }
}
