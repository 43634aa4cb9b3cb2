package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.support.Application;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.Visitor;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.springframework.beans.factory.annotation.Autowired;

/** Exchanges of batteries for a test that kills the application between take and give: each has happened whole, or not at all. */
public abstract class ExchangesUnderWay extends JobsTest {
    /** Milliseconds: when it is killed, the first step was sent 60 before, the second 25, the third 6. */
    private static final int[] UNTIL_THE_NEXT = {35, 19, 6};

    @Autowired
    protected OwnBatteries own;

    @Autowired
    private Machines machines;

    private final List<Begun> exchanges = new ArrayList<>();

    /** A change that has come to the step of the exchange. */
    private record Begun(long job, Battery old, Battery fresh, String truck, String key) {}

    private Begun begun() throws Exception {
        String tag = UUID.randomUUID().toString().substring(0, 4);
        Battery old = own.rested("KO" + tag, "T-04");
        Battery fresh = own.rested("KN" + tag, "T-04");
        String truck = "KF" + tag;
        int weight = fresh.type().weightKg();
        long machine = machines.add(
                new Machine(0, truck, "Test truck", MachineKind.FORKLIFT, weight - 9, weight + 9, 36, "", null, null));
        batteries.place(old.id(), null, machine);
        long job = begin(tom, fresh.code(), "change-battery", "machine", truck, "looked", "yes");
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals("connect")) {
            say(tom, job, current.mayBeSkipped() ? "skip" : "done", current.id(), right(current));
            current = run(job).current().orElseThrow();
        }
        return new Begun(job, old, fresh, truck, UUID.randomUUID().toString());
    }

    private static String right(Step step) {
        if (step.mayBeSkipped() || step.task() instanceof Task.Write) {
            return "not read";
        } else if (step.task() instanceof Task.Choose choose) {
            return choose.answers().get(0).id();
        }
        return step.rightAnswer().orElseThrow();
    }

    /** Three changes, each at the step of its exchange. */
    protected void beginExchanges() throws Exception {
        people();
        for (int i = 0; i < UNTIL_THE_NEXT.length; i++) {
            exchanges.add(begun());
        }
    }

    /** The application is killed while it exchanges; what then stands in the database is looked at. */
    protected void killWhileExchanging(Application application) throws Exception {
        List<Visitor> changers = List.of(signedIn(application), signedIn(application), signedIn(application));
        List<CompletableFuture<Void>> sent = new ArrayList<>();
        for (int i = 0; i < exchanges.size(); i++) {
            Visitor changer = changers.get(i);
            Begun change = exchanges.get(i);
            sent.add(CompletableFuture.runAsync(() -> connect(changer, change)));
            Thread.sleep(UNTIL_THE_NEXT[i]);
        }
        application.kill();
        sent.forEach(s -> s.handle((answer, failure) -> answer).join());
        for (Begun change : exchanges) {
            check(change);
        }
    }

    /** Sent again, each has happened once. */
    protected void sendExchangesAgain(Application application) throws Exception {
        for (Begun change : exchanges) {
            connect(signedIn(application), change);
            assertThat(run(change.job()).settled("connect")).as("sent again").isPresent();
            check(change);
            assertThat(ledger.ofBattery(change.fresh().id(), null, 20))
                    .filteredOn(line -> line.payload().contains(change.truck()))
                    .as("one line of one move")
                    .hasSize(1);
        }
    }

    private static Visitor signedIn(Application application) throws Exception {
        Visitor visitor = new Visitor(application.port());
        assertThat(visitor.signIn("tom", "lanternmoor")).isTrue();
        return visitor;
    }

    private static void connect(Visitor visitor, Begun change) {
        try {
            visitor.post("/jobs/" + change.job() + "/done", "key", change.key(), "about", "connect", "value", "");
        } catch (IOException killed) {
            throw new CompletionException(killed);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** Either has the step been settled and both have moved, or neither. */
    private void check(Begun change) {
        Battery old = batteries.byId(change.old().id()).orElseThrow();
        Battery fresh = batteries.byId(change.fresh().id()).orElseThrow();
        if (run(change.job()).settled("connect").isPresent()) {
            assertThat(fresh.machineCode()).isEqualTo(change.truck());
            assertThat(old.machineCode()).isNull();
            assertThat(Objects.requireNonNull(old.slotId()))
                    .isEqualTo(change.fresh().slotId());
        } else {
            assertThat(old.machineCode()).isEqualTo(change.truck());
            assertThat(fresh.slotId()).isEqualTo(change.fresh().slotId());
            assertThat(fresh.machineCode()).isNull();
        }
    }
}
