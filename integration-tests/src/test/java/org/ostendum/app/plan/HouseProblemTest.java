package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Sizes;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.hours.Hours;
import org.ostendum.app.plan.hours.WeekHours;
import org.ostendum.app.plan.house.HouseProblem;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;
import org.ostendum.core.state.fact.OnCharge;
import org.springframework.beans.factory.annotation.Autowired;

/** The demo's house as it is put before the planner. */
class HouseProblemTest extends JobsTest {
    @Autowired
    private BatteryStates states;

    @Autowired
    private Hours hours;

    @Autowired
    private HouseProblem house;

    @Autowired
    private Sizes sizes;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Machines machines;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private People people;

    @Test
    void hoursAreSaidAndTakenAway() throws Exception {
        String code = "F14";
        tom.send("/plan/hours", "machine", code, "day", "SUNDAY", "from", "22:00", "until", "04:00");
        assertThat(maud.send("/plan/hours", "machine", code, "from", "22:00", "until", "4 o'clock")
                        .getStatus())
                .isEqualTo(422);
        maud.send("/plan/hours", "machine", code, "day", "SUNDAY", "from", "22:00", "until", "04:00", "ah", "120");
        assertThat(maud.page("/plan/hours")).contains("Su 22:00–04:00", "120 Ah");
        WeekHours night = hours.ofMachines().stream()
                .filter(h -> h.day() == DayOfWeek.SUNDAY && h.from().equals(LocalTime.of(22, 0)) && h.ah() != null)
                .findFirst()
                .orElseThrow();
        maud.send("/plan/hours/machine/" + night.id() + "/remove");
        assertThat(maud.page("/plan/hours")).doesNotContain("120 Ah");
    }

    private PlanProblem house() {
        return house.from(states.instant(), Duration.ofHours(48), 1, null);
    }

    private Worker asPlanned(String login) {
        return house().people().stream()
                .filter(worker -> worker.code().equals(login))
                .findFirst()
                .orElseThrow();
    }

    /** What has flowed already does not flow again: the plan and the charging board tell the same end of the same charge. */
    @Test
    void aChargeUnderWayLastsFromItsBeginning() {
        PlanProblem problem = house();
        List<PlanJob> running = problem.pinned().stream()
                .filter(job -> job.what() == Task.CHARGE && job.start().isBefore(problem.from()))
                .filter(job -> onCharge(job).kind() == ChargeKind.CONVENTIONAL
                        && onCharge(job).since().isBefore(problem.from()))
                .toList();
        assertThat(running).isNotEmpty().allSatisfy(job -> {
            Duration whole = Duration.ofSeconds(pairing(problem, job)
                    .seconds(problem.batteries().stream()
                            .filter(b -> b.code().equals(job.battery()))
                            .findFirst()
                            .orElseThrow()
                            .missingAh()));
            Instant end = job.start().plus(whole).truncatedTo(ChronoUnit.SECONDS);
            Instant least = problem.from().plus(Duration.ofMinutes(15));
            assertThat(job.start()).isEqualTo(onCharge(job).since());
            assertThat(job.end()).isEqualTo(end.isBefore(least) ? least : end);
        });
    }

    /** A low current goes by its hours, whatever is missing; what is being equalised is not planned to be equalised once more. */
    @Test
    void aLowCurrentUnderWayLastsItsHours() {
        Battery battery = own.toEqualise("HPR-1", "T-21");
        ChargeStarted begun = new ChargeStarted(TestClock.now().minus(Duration.ofHours(1)), ChargeKind.EQUALISE, null);
        assertThat(due(battery)).contains(Task.EQUALISE);
        record.record(
                battery,
                List.of(LedgerEvents.entry(
                        begun, people.byLogin("tom").orElseThrow().id(), "")));
        assertThat(house().pinned())
                .filteredOn(job -> job.battery().equals(battery.code()))
                .singleElement()
                .satisfies(job -> {
                    assertThat(job.what()).isEqualTo(Task.CHARGE);
                    assertThat(Duration.between(begun.at(), job.end()))
                            .isCloseTo(Duration.ofHours(3), Duration.ofSeconds(2));
                });
        assertThat(due(battery)).doesNotContain(Task.EQUALISE);
    }

    /** The gate of watering is shut until it was read once: the plan reads it as well. */
    @Test
    void whatWasNeverReadIsPlannedToBeReadButNotWhatLeaks() throws Exception {
        Battery battery = own.rested("HPR-2", "T-21");
        assertThat(due(battery)).contains(Task.ROUND);
        tom.ask(multipart("/batteries/HPR-2/defect").param("kind", "DAMAGED_CASE"));
        assertThat(due(battery)).isEmpty();
    }

    private List<Task> due(Battery battery) {
        return house().batteries().stream()
                .filter(b -> b.code().equals(battery.code()))
                .flatMap(b -> b.due().stream())
                .map(Due::what)
                .toList();
    }

    /** A-2 is known to be on its charger; nobody has said where A-5 is: on another. */
    @Test
    void twoChargesUnderWayShareNoCharger() {
        PlanProblem problem = house();
        assertThat(problem.pinned())
                .filteredOn(job -> job.what() == Task.CHARGE && job.start().isBefore(problem.from()))
                .filteredOn(job -> List.of("A-2", "A-5").contains(job.battery()))
                .hasSize(2)
                .extracting(PlanJob::charger)
                .doesNotHaveDuplicates();
    }

    private OnCharge onCharge(PlanJob job) {
        return Objects.requireNonNull(
                states.stateOf(batteries.byCode(job.battery()).orElseThrow()).onCharge());
    }

    private static Pairing pairing(PlanProblem problem, PlanJob job) {
        return problem.charging().stream()
                .filter(pair ->
                        pair.battery().equals(job.battery()) && pair.charger().equals(job.charger()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void breaksAndClosedHoursReachThePlan() throws Exception {
        String[] week = Stream.of(DayOfWeek.values())
                .flatMap(day -> Stream.of("day", day.name()))
                .toArray(String[]::new);
        maud.send("/plan/hours", with(week, "quiet", "tom", "from", "09:00", "until", "09:30"));
        maud.send("/plan/hours", with(week, "house", "", "from", "06:00", "until", "12:00"));
        try {
            assertThat(maud.page("/plan/hours")).contains("Mo–Su 09:00–09:30", "Mo–Su 06:00–12:00");
            Worker tom = asPlanned("tom");
            assertThat(tom.quiet()).isNotEmpty().allMatch(span -> span.length().equals(Duration.ofMinutes(30)));
            assertThat(tom.shifts()).isNotEmpty().allMatch(span -> span.length().compareTo(Duration.ofHours(6)) <= 0);
            assertThat(hours.ofPeople()).noneMatch(line -> line.until().equals(LocalTime.of(9, 30)));
        } finally {
            hours.ofHouse().forEach(line -> hours.removeOfHouse(line.id()));
            hours.quietOfPeople().forEach(line -> hours.removeOfPerson(line.id()));
        }
        assertThat(maud.page("/plan/hours")).contains("always open").doesNotContain("09:00–09:30");
    }

    private static String[] with(String[] some, String... more) {
        return Stream.concat(Stream.of(some), Stream.of(more)).toArray(String[]::new);
    }

    /** A fan of one room does nothing for the air of another. */
    @Test
    void eachRoomHasItsOwnAir() {
        PlanProblem planned = house();
        assertThat(planned.room().litresPerHourMost()).isNull();
        assertThat(planned.room().airs()).isNotEmpty();
        assertThat(planned.chargers())
                .extracting(PlanCharger::air)
                .allMatch(air -> !air.isEmpty())
                .containsAnyElementsOf(planned.room().airs().keySet());
    }

    /** What the battery's page asks for is in the plan as well. */
    @Test
    void testsThatAreDueAreOnTheBench() {
        PlanProblem planned = house();
        int due = 0;
        for (PoolBattery b : planned.batteries()) {
            Battery battery = batteries.byCode(b.code()).orElseThrow();
            boolean asked =
                    states.nextThings(battery).stream().anyMatch(thing -> thing.step() == NextStep.TEST_CAPACITY);
            if (asked && states.stateOf(battery).inHand() == null) {
                due++;
                assertThat(b.due()).as(b.code()).anyMatch(Due::isOnBench);
            }
        }
        assertThat(due).as("batteries whose test is due").isPositive();
    }

    /** The truck's page refuses it, so the plan must not send it there. */
    @Test
    void noBatteryIsPlannedIntoABayThatItDoesNotSitIn() {
        Machine truck = machines.all().stream()
                .filter(machine -> machine.code().equals("F1"))
                .findFirst()
                .orElseThrow();
        Map<Long, CaseSize> bays = sizes.ofBays();
        Map<Long, CaseSize> models = sizes.ofModels();
        Map<Long, CaseSize> measured = new HashMap<>(models);
        batteries.all().forEach(battery -> measured.put(battery.type().id(), new CaseSize(900, 700, 600)));
        try {
            sizes.keep(measured, Map.of(truck.id(), new CaseSize(890, 710, 620)));
            assertThat(asPlanned(truck).refuses())
                    .hasSizeGreaterThan(10)
                    .as("the one that is in it is a fact")
                    .doesNotContain(String.valueOf(asPlanned(truck).battery()));
            sizes.keep(measured, Map.of(truck.id(), new CaseSize(910, 710, 620)));
            assertThat(asPlanned(truck).refuses()).isEmpty();
        } finally {
            sizes.keep(models, bays);
        }
    }

    private PlanMachine asPlanned(Machine machine) {
        return house.from(states.instant(), Duration.ofHours(12), 1, null).machines().stream()
                .filter(planned -> planned.code().equals(machine.code()))
                .findFirst()
                .orElseThrow();
    }
}
