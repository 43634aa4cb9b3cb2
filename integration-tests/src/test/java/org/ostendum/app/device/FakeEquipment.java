package org.ostendum.app.device;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.function.BooleanSupplier;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.core.device.Address;
import org.ostendum.core.device.HandOrder;
import org.ostendum.standins.Registers;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.util.FileSystemUtils;

/**
 * The stand-ins in the test's own process, and its time: nothing passes until the test says so, and then at once. The
 * application polls once in each step of it.
 */
public final class FakeEquipment implements Wire {
    public static final Duration STEP = Duration.ofMinutes(1);

    private final Random random = new Random(4711);
    private final Time time = new Time();
    private final ObjectProvider<DeviceWatch> watch;
    private final ObjectProvider<PollRecorder> recorder;
    private Registers registers = fresh();
    private boolean silent;
    private double garbled;
    private boolean pulled;

    private FakeEquipment(ObjectProvider<DeviceWatch> watch, ObjectProvider<PollRecorder> recorder) {
        this.watch = watch;
        this.recorder = recorder;
    }

    /** To be imported; without a stereotype, so that no other application of this JVM finds it. */
    public static class InsteadOfTheLine {
        @Bean
        @Primary
        FakeEquipment fakeEquipment(ObjectProvider<DeviceWatch> watch, ObjectProvider<PollRecorder> recorder) {
            return new FakeEquipment(watch, recorder);
        }

        @Bean
        @Primary
        Clock fakeClock(FakeEquipment equipment) {
            return equipment.time;
        }

        @Bean
        @Primary
        DeviceClock fakeDeviceClock(FakeEquipment equipment) {
            return equipment.new Beat();
        }
    }

    /** The wall clock, which can be corrected. */
    private static final class Time extends Clock {
        private final Instant began = Instant.now();
        private Duration passed = Duration.ZERO;
        private Duration jumped = Duration.ZERO;

        @Override
        public synchronized Instant instant() {
            return began.plus(passed).plus(jumped);
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    /** The other one, which never jumps. */
    private final class Beat extends DeviceClock {
        private Beat() {
            super(time, 1, STEP);
        }

        @Override
        long nanos() {
            synchronized (time) {
                return time.passed.toNanos();
            }
        }
    }

    private static Registers fresh() {
        try {
            Path folder = Files.createTempDirectory("ostendum-bank-");
            Registers registers = Registers.of(EquipmentSite.writeBank(folder), 20, 300);
            FileSystemUtils.deleteRecursively(folder);
            return registers;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Lets time pass, a poll in each step of it. */
    public void pass(Duration whole) {
        for (Duration left = whole; left.compareTo(Duration.ZERO) > 0; left = left.minus(STEP)) {
            step();
        }
    }

    /** @return whether it held before so much time was over */
    public boolean passUntil(Duration most, BooleanSupplier holds) {
        for (Duration left = most; left.compareTo(Duration.ZERO) > 0; left = left.minus(STEP)) {
            if (holds.getAsBoolean()) {
                return true;
            }
            step();
        }
        return holds.getAsBoolean();
    }

    private void step() {
        synchronized (time) {
            time.passed = time.passed.plus(STEP);
        }
        synchronized (this) {
            registers.pass(STEP);
        }
        recorder.getObject().keep();
        recorder.getObject().alarmsFound(watch.getObject().listen());
        recorder.getObject().keep();
    }

    /** Corrects the wall clock. */
    public void jump(Duration by) {
        synchronized (time) {
            time.jumped = time.jumped.plus(by);
        }
    }

    public synchronized void silent(boolean nothingAnswers) {
        silent = nothingAnswers;
    }

    /** Started anew: it knows of no battery any more. */
    public synchronized void forget() {
        registers = fresh();
    }

    /** Somebody pulls every plug and tells nobody, and nothing is plugged in again until it is over. */
    public synchronized void pulled(boolean out) {
        pulled = out;
        if (out) {
            registers = fresh();
        }
    }

    /** @param part of the answers of which a word is rustle, 0 to 1 */
    public synchronized void garble(double part) {
        garbled = part;
    }

    public synchronized void switchFan(boolean on) {
        HandOrder order = HandOrder.of(on ? HandOrder.Act.FAN_ON : HandOrder.Act.FAN_OFF, 0);
        if (!registers.write(Address.ofHands(), order.registers())) {
            throw new IllegalStateException("no fan");
        }
    }

    @Override
    public synchronized CompletionStage<int[]> read(String host, int port, Address address, int words) {
        if (silent) {
            return CompletableFuture.failedFuture(new IOException("nothing answers"));
        }
        int[] answer = registers.read(address).orElse(null);
        if (answer == null) {
            return CompletableFuture.failedFuture(new Refused(new IOException("nothing lies there")));
        }
        if (random.nextDouble() < garbled) {
            answer[random.nextInt(answer.length)] = random.nextInt(65_536);
        }
        return CompletableFuture.completedFuture(answer);
    }

    @Override
    public synchronized CompletionStage<Void> write(String host, int port, Address address, int[] words) {
        if (silent) {
            return CompletableFuture.failedFuture(new IOException("nothing answers"));
        }
        return pulled || registers.write(address, words)
                ? CompletableFuture.completedFuture(null)
                : CompletableFuture.failedFuture(new Refused(new IOException("not done")));
    }
}
