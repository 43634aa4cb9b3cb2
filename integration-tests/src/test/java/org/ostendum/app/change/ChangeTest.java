package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.capacity.Recharge;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Situations;
import org.ostendum.app.people.People;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.core.change.Choosing.Ranked;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.safety.StationCheck;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;

/** A truck's battery changed: both batteries move at one moment, whoever is quicker. */
class ChangeTest extends AtTheTruck {
    @Autowired
    private Pool pool;

    @Autowired
    private People persons;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private Recharge recharge;

    @Autowired
    private Stations stations;

    @Autowired
    private Situations situations;

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
                .contains(
                        "May not, and why", "It is in ", "T-28 weighs 810 kg", "Never into it: it runs on 36 V", "48 V")
                .doesNotContain("/batteries/G-01");
        assertThat(tom.page("/machines")).contains(truck.code(), old.code());
    }
}
