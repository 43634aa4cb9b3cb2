package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.capacity.Recharge;
import org.ostendum.app.change.LiftMeasures.All;
import org.ostendum.app.change.LiftMeasures.Hoist;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.job.Situations;
import org.ostendum.app.people.People;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.change.Beam;
import org.ostendum.core.change.Choosing.Ranked;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.safety.StationCheck;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;

/** A truck's battery changed: both batteries move at one moment, whoever is quicker. */
class ChangeTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private Machines machines;

    @Autowired
    private Pool pool;

    @Autowired
    private People persons;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private LiftMeasures measures;

    @Autowired
    private Recharge recharge;

    @Autowired
    private Stations stations;

    @Autowired
    private Situations situations;

    private String tag;
    private Machine truck;
    private Battery old;
    private Battery fresh;

    @BeforeEach
    void truckAndBatteries() {
        tag = UUID.randomUUID().toString().substring(0, 4);
        old = own.rested("O" + tag, "T-04");
        fresh = own.rested("N" + tag, "T-04");
        truck = truck("F" + tag);
        batteries.place(old.id(), null, truck.id());
    }

    private Machine truck(String code) {
        int weight = fresh.type().weightKg();
        long id = machines.add(new Machine(
                0,
                code,
                "Test truck",
                MachineKind.FORKLIFT,
                weight - 50,
                weight + 50,
                fresh.type().model().nominalVolts(),
                "",
                null,
                null));
        return machines.all().stream().filter(m -> m.id() == id).findFirst().orElseThrow();
    }

    private long begin(Battery in) throws Exception {
        return begin(tom, in.code(), "change-battery", "machine", truck.code(), "looked", "yes");
    }

    private void until(long job, String step, String how) throws Exception {
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals(step)) {
            if (current.mayBeSkipped()) {
                say(tom, job, "skip", current.id(), "not read");
            } else {
                say(tom, job, "done", current.id(), right(current, how));
            }
            Run now = run(job);
            assertThat(now.settled(current.id())).as(current.id()).isPresent();
            current = now.current().orElseThrow();
        }
    }

    private static String right(Step step, String how) {
        if (step.id().equals("how")) {
            return how;
        } else if (step.task() instanceof Task.Choose choose && step.id().equals("which-changer")) {
            return choose.answers().get(0).id();
        }
        return step.task() instanceof Task.Write
                ? "the other one is blocked in"
                : step.rightAnswer().orElseThrow();
    }

    private Battery now(Battery battery) {
        return batteries.byId(battery.id()).orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"hoist", "roller", "cart", "hand"})
    void bothBatteriesMoveAtTheMomentTheNewOneIsConnected(String how) throws Exception {
        Long place = fresh.slotId();
        long job = begin(fresh);
        until(job, "connect", how);
        assertThat(now(old).machineCode()).isEqualTo(truck.code());
        assertThat(now(fresh).slotId()).isEqualTo(place);
        say(tom, job, "done", "connect", "");
        assertThat(now(fresh).machineCode()).isEqualTo(truck.code());
        assertThat(now(old).slotId()).isEqualTo(place);
        assertThat(batteryStates.stateOf(now(old)).full().isNo()).isTrue();
        assertThat(ledger.ofBattery(old.id(), null, 3))
                .anyMatch(line -> line.payload().contains("\"from\":\"" + truck.code()));
        until(job, "old", how);
        say(tom, job, "done", "old", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(run(job).status()).isEqualTo(Run.Status.FINISHED);
        assertThat(tom.page("/machines/" + truck.code())).contains("In it:", fresh.code());
    }

    /** What was left by the gauge tells how much it has worked. */
    @Test
    void whatWasLeftTellsHowMuchIsMissing() throws Exception {
        long job = begin(fresh);
        until(job, "hours", "hoist");
        say(tom, job, "done", "hours", "5120");
        say(tom, job, "done", "left", "30");
        until(job, "connect", "hoist");
        say(tom, job, "done", "connect", "");
        assertThat(batteryStates.stateOf(now(old)).charge().likely()).isCloseTo(0.3, within(0.01));
        assertThat(pool.rank(truck, persons.byLogin("tom").orElseThrow()))
                .filteredOn(r -> r.pooled().subject().code().equals(old.code()))
                .noneMatch(Ranked::may);
        double capacity = old.type().model().capacity().ampHours();
        assertThat(ledger.ofBattery(old.id(), null, 4))
                .filteredOn(line -> line.kind().name().equals("DISCHARGE"))
                .singleElement()
                .satisfies(line -> assertThat(
                                Objects.requireNonNull(line.quantity()).doubleValue())
                        .isEqualTo(0.7 * capacity));
    }

    /** What comes out empty does not wait: its charge is opened in the changer's name, and the change leads to it. */
    @Test
    void theChangeLeadsToTheChargeOfWhatCameOut() throws Exception {
        long job = begin(fresh);
        until(job, "connect", "hoist");
        assertThat(recharge.openOf(old)).isEmpty();
        until(job, "old", "hoist");
        long charge = recharge.openOf(old).orElseThrow();
        assertThat(tom.page("/jobs/" + job)).contains(old.code() + " has come out", "href=\"/jobs/" + charge + "\"");
        assertThat(jobs.byId(charge).orElseThrow().batteryId()).isEqualTo(old.id());
        assertThat(tom.page("/mine")).contains(old.code());
    }

    /** What the step has done is on record of two batteries: unsaying it would leave the job and the floor apart. */
    @Test
    void theExchangeIsNotUnsaid() throws Exception {
        long job = begin(fresh);
        until(job, "connect", "hoist");
        say(tom, job, "done", "connect", "");
        assertThat(say(tom, job, "back", "connect", "it was the other truck").getContentAsString())
                .contains("changed places on record", "from the machine’s page");
        assertThat(run(job).settled("connect")).isPresent();
        assertThat(now(fresh).machineCode()).isEqualTo(truck.code());
        say(tom, job, "back", "hoisted", "I mean the roller");
        assertThat(run(job).settled("hoisted")).as("what has done nothing yet").isEmpty();
    }

    /** One order of rest: the rack of ready batteries and the list of the machine. */
    @Test
    void theRackAndTheMachineNameTheSameFirst() throws Exception {
        String whole = tom.page("/charging");
        int ready = whole.indexOf("Ready, longest waiting first");
        String page = whole.substring(ready, whole.indexOf("<h2", ready));
        List<String> ofMachine = pool.rank(truck, persons.byLogin("tom").orElseThrow()).stream()
                .filter(Ranked::may)
                .map(r -> r.pooled().subject().code())
                .filter(code -> battery(code).type().id() == fresh.type().id())
                .toList();
        List<Integer> onRack = ofMachine.stream()
                .map(code -> page.indexOf("/batteries/" + code + "\""))
                .filter(at -> at >= 0)
                .toList();
        assertThat(onRack).hasSameSizeAs(ofMachine).hasSizeGreaterThan(2).isSorted();
    }

    /** With a fault it lifts nothing, whoever comes next. */
    @Test
    void aChangerWithAFaultIsOutOfServiceUntilItIsCheckedSound() throws Exception {
        long room = rooms.byCode(OwnBatteries.ROOM).orElseThrow().id();
        long cart = stations.add(room, StationCheck.CHANGER, "Cart " + tag);
        stations.check(cart, true, "", persons.byLogin("tom").orElseThrow().id());
        long job = begin(fresh);
        until(job, "which-changer", "hoist");
        assertThat(tom.page("/jobs/" + job)).contains("Cart " + tag);
        say(tom, job, "done", "which-changer", String.valueOf(cart));
        say(tom, job, "done", "changer", "fault");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());

        long again = begin(fresh);
        until(again, "which-changer", "hoist");
        assertThat(tom.page("/jobs/" + again)).contains("Out of service: ", "Cart " + tag);
        assertThat(say(tom, again, "done", "which-changer", String.valueOf(cart))
                        .getStatus())
                .as("nobody can take it")
                .isEqualTo(422);
        stations.check(
                cart, true, "new hook", persons.byLogin("tom").orElseThrow().id());
        say(tom, again, "stop", "swings", "");
        tom.send("/jobs/" + again + "/finish", "key", UUID.randomUUID().toString());
        long third = begin(fresh);
        until(third, "which-changer", "hoist");
        say(tom, third, "done", "which-changer", String.valueOf(cart));
        assertThat(run(third).settled("which-changer")).isPresent();
    }

    /** What one page has in hand, no other page hands out. */
    @Test
    void aBatteryInAnOpenJobIsOfferedNowhere() throws Exception {
        assertThat(tom.page("/machines/" + truck.code())).doesNotContain(fresh.code() + " is in hand");
        long wash = begin(tom, fresh.code(), "wash", "looked", "yes");
        assertThat(tom.page("/machines/" + truck.code())).contains(fresh.code() + " is in hand: Wash the top");
        assertThat(tom.page("/batteries/" + fresh.code())).contains("in hand: Wash the top");
        assertThat(tom.page("/rooms/" + OwnBatteries.ROOM)).contains("in hand");
        assertThat(tom.page("/batteries/" + fresh.code() + "/jobs/issue")).contains("is in hand");
        assertThat(tom.page("/batteries/" + fresh.code() + "/jobs/charge")).contains("is in hand");
        say(tom, wash, "stop", run(wash).procedure().stops().get(0).id(), "");
        tom.send("/jobs/" + wash + "/finish", "key", UUID.randomUUID().toString());
        assertThat(tom.page("/batteries/" + fresh.code())).doesNotContain("in hand: Wash");
        long cracked = defects.openOf(fresh.id(), null).get(0).id();
        assertThat(tom.page("/jobs"))
                .as("what no procedure puts right is put right in words")
                .contains("/defects/" + cracked + "/right");
        tom.send("/defects/" + cracked + "/right", "remark", "new case");
        assertThat(defects.openOf(fresh.id(), null)).isEmpty();
    }

    @Test
    void aChangeStoppedInTheMiddleHasMovedNothing() throws Exception {
        Long place = fresh.slotId();
        long job = begin(fresh);
        until(job, "hoisted", "hoist");
        say(tom, job, "done", "hoisted", "swings");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(now(old).machineCode()).isEqualTo(truck.code());
        assertThat(now(fresh).slotId()).isEqualTo(place);
    }

    /** Two people connect a battery in one truck at one moment: one battery is in it, all three are somewhere, none twice. */
    @Test
    void ofTwoAtOnceOneIsFirstAndNothingIsDoubled() throws Exception {
        Battery third = own.rested("X" + tag, "T-04");
        List<Long> places = List.of(Objects.requireNonNull(fresh.slotId()), Objects.requireNonNull(third.slotId()));
        long one = begin(fresh);
        until(one, "connect", "hoist");
        long other = begin(third);
        until(other, "connect", "cart");
        ExecutorService both = Executors.newFixedThreadPool(2);
        Future<MockHttpServletResponse> first = both.submit(() -> say(tom, one, "done", "connect", ""));
        Future<MockHttpServletResponse> second = both.submit(() -> say(ines, other, "done", "connect", ""));
        assertThat(first.get().getStatus()).isLessThan(500);
        assertThat(second.get().getStatus()).isLessThan(500);
        both.shutdown();
        List<Battery> all = List.of(now(old), now(fresh), now(third));
        assertThat(all).filteredOn(b -> truck.code().equals(b.machineCode())).hasSize(1);
        assertThat(all)
                .filteredOn(b -> b.machineCode() == null)
                .extracting(Battery::slotId)
                .containsExactlyInAnyOrderElementsOf(places);
    }

    @Test
    void anotherThanTheFirstAsksWhy() throws Exception {
        Person person = persons.byLogin("tom").orElseThrow();
        List<Ranked> ranked = pool.rank(truck, person);
        String first = ranked.get(0).pooled().subject().code();
        assertThat(ranked.get(0).may()).isTrue();
        String other = ranked.stream()
                .filter(r -> r.may() && !r.pooled().subject().code().equals(first))
                .findFirst()
                .orElseThrow()
                .pooled()
                .subject()
                .code();
        long job = begin(tom, other, "change-battery", "machine", truck.code(), "looked", "yes");
        assertThat(run(job).current().orElseThrow().id()).isEqualTo("why-this-one");
        assertThat(tom.page("/jobs/" + job)).contains(first + " is the one to take first");
        assertThat(tom.page("/machines/" + truck.code()))
                .contains(other + " is on its way to " + truck.code(), "Go on with the change", "being fetched for");
    }

    @Test
    void whatMayNotGoInSaysWhy() throws Exception {
        assertThat(tom.page("/machines/" + truck.code()))
                .contains("May not, and why", "It is in ", "T-28 weighs 810 kg")
                .doesNotContain("G-01");
        assertThat(tom.page("/machines")).contains(truck.code(), old.code());
    }

    /** Measured once, a battery that does not go into the bay is not offered, and the sheet refuses what is no size. */
    @Test
    void whatDoesNotGoIntoTheBaySaysSo() throws Exception {
        LiftMeasures.All before = measures.all();
        String size = "size-" + fresh.type().id();
        String bay = "bay-" + truck.id();
        String seen = LiftSheet.seen(LiftSheet.standing(before));
        assertThat(maud.send("/setup/changing", "seen", seen, size, "wide", bay, "830 x 630 x 620")
                        .getContentAsString())
                .contains("“wide” is no size", "830 x 630 x 620");
        maud.send("/setup/changing", "seen", seen, size, "980 x 630 x 620", bay, "830x630x620");
        try {
            assertThat(tom.page("/machines/" + truck.code()))
                    .contains("measures 980 × 630 × 620 mm; the bay of " + truck.code() + " has room for 830 × 630");
            assertThat(maud.page("/setup/changing")).contains("980 × 630 × 620");
        } finally {
            measures.keep(before);
        }
    }

    private static final Hoist LIGHT_HOIST = new Hoist(new Beam(150, 40, 14, 600), 300);

    private long changer(String name) {
        return stations.add(situations.roomOf(fresh), StationCheck.CHANGER, name);
    }

    private void measured(Map<Long, Hoist> hoists, Map<Long, Integer> eyes, Map<Long, Integer> trucks) {
        measures.keep(new All(hoists, eyes, trucks, Map.of(), Map.of(), Map.of()));
    }

    /** The eyes are asked once, at the battery, and drawn from then on for all of its model. */
    @Test
    void theBeamIsDrawnOverTheVeryBattery() throws Exception {
        long hoist = changer("Hoist " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(hoist, new Hoist(LIGHT_HOIST.beam(), null)), Map.of(), Map.of());
        try {
            long job = begin(fresh);
            until(job, "which-changer", "hoist");
            say(tom, job, "done", "which-changer", String.valueOf(hoist));
            until(job, "hooks", "hoist");
            assertThat(tom.page("/jobs/" + job))
                    .contains("How far apart are the eyes")
                    .doesNotContain("notch 7");
            String eyes = "/batteries/" + fresh.code() + "/eyes";
            tom.send(eyes, "job", String.valueOf(job), "eyes", "7");
            assertThat(measures.eyes(fresh.type().id())).as("7 mm").isEmpty();
            tom.send(eyes, "job", String.valueOf(job), "eyes", "780");
            assertThat(tom.page("/jobs/" + job))
                    .contains("notch 7 on each side")
                    .doesNotContain("How far apart");
            measures.keepEyes(fresh.type().id(), 2500);
            assertThat(tom.page("/jobs/" + job))
                    .contains("No notch of this beam comes near")
                    .doesNotContain("notch 14");
        } finally {
            measures.keep(before);
        }
    }

    @Test
    void noBeamLiftsMoreThanIsStampedOnIt() throws Exception {
        long hoist = changer("Light hoist " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(hoist, LIGHT_HOIST), Map.of(), Map.of());
        try {
            long job = begin(fresh);
            until(job, "which-changer", "hoist");
            assertThat(say(tom, job, "done", "which-changer", String.valueOf(hoist))
                            .getContentAsString())
                    .contains("300 kg at most");
            assertThat(run(job).settled("which-changer")).isEmpty();
        } finally {
            measures.keep(before);
        }
    }

    /** What comes out may be of another model: with other eyes, and heavier. */
    @Test
    void bothBatteriesAreLiftedByTheBeam() throws Exception {
        Battery heavier = own.rested("H" + tag, "T-14");
        batteries.place(old.id(), null, null);
        batteries.place(heavier.id(), null, truck.id());
        batteries.place(old.id(), heavier.slotId(), null);
        int between = (fresh.type().weightKg() + heavier.type().weightKg()) / 2;
        assertThat(heavier.type().weightKg()).isGreaterThan(fresh.type().weightKg());
        long light = changer("Light " + tag);
        long strong = changer("Strong " + tag);
        LiftMeasures.All before = measures.all();
        measured(
                Map.of(light, new Hoist(LIGHT_HOIST.beam(), between), strong, new Hoist(LIGHT_HOIST.beam(), 3000)),
                Map.of(fresh.type().id(), 780, heavier.type().id(), 860),
                Map.of());
        try {
            long job = begin(fresh);
            until(job, "which-changer", "hoist");
            assertThat(say(tom, job, "done", "which-changer", String.valueOf(light))
                            .getContentAsString())
                    .contains(heavier.code() + " weighs");
            say(tom, job, "done", "which-changer", String.valueOf(strong));
            until(job, "hooks", "hoist");
            assertThat(tom.page("/jobs/" + job))
                    .contains("notch 7 on each side", "notch 8 on each side", heavier.code() + ",");
        } finally {
            measures.keep(before);
        }
    }

    @Test
    void theRollerBedIsDrawnAtTheHeightOfTheTruck() throws Exception {
        changer("Bed " + tag);
        LiftMeasures.All before = measures.all();
        measured(Map.of(), Map.of(), Map.of(truck.id(), 610));
        try {
            long job = begin(fresh);
            until(job, "bed", "roller");
            assertThat(tom.page("/jobs/" + job)).contains("take at 600 mm", "give at 620 mm");
        } finally {
            measures.keep(before);
        }
    }

    @Test
    void measuresAreKeptTogetherOrNotAtAll() throws Exception {
        long hoist = changer("Beam " + tag);
        LiftMeasures.All before = measures.all();
        try {
            String half = maud.send("/setup/changing", "first-" + hoist, "150", "step-" + hoist, "4")
                    .getContentAsString();
            assertThat(half).contains("150", "10", "500");
            assertThat(measures.all()).isEqualTo(before);
            String eyes = "eyes-" + fresh.type().id();
            String seen = LiftSheet.seen(LiftSheet.standing(measures.all()));
            maud.send(
                    "/setup/changing",
                    "seen",
                    seen,
                    "first-" + hoist,
                    "150",
                    "step-" + hoist,
                    "40",
                    "notches-" + hoist,
                    "14",
                    "chain-" + hoist,
                    "600",
                    eyes,
                    "780",
                    "machine-" + truck.id(),
                    "610");
            assertThat(measures.hoist(hoist)).contains(new Hoist(LIGHT_HOIST.beam(), null));
            assertThat(measures.eyes(fresh.type().id())).contains(780);
            assertThat(maud.page("/setup/changing")).contains("value=\"780\"", "value=\"610\"");
            assertThat(maud.send("/setup/changing", "seen", seen, eyes, "640").getContentAsString())
                    .as("somebody has measured it meanwhile")
                    .contains("value=\"640\"", "780");
            assertThat(measures.eyes(fresh.type().id())).contains(780);
        } finally {
            measures.keep(before);
        }
    }
}
