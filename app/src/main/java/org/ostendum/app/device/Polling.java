package org.ostendum.app.device;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.SampleThinning;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Lets round follow round while the application runs; the recorder are kept beside it, at their own pace. */
@Component
class Polling implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Polling.class);

    private final DeviceWatch watch;
    private final PollRecorder recorder;
    private final SampleThinning thinning;
    private final DeviceClock clock;
    private final boolean wanted;
    private @Nullable ScheduledExecutorService threads;

    Polling(
            DeviceWatch watch,
            PollRecorder recorder,
            SampleThinning thinning,
            DeviceClock clock,
            @Value("${ostendum.devices.listen}") boolean wanted) {
        this.watch = watch;
        this.recorder = recorder;
        this.thinning = thinning;
        this.clock = clock;
        this.wanted = wanted;
    }

    @Override
    public void start() {
        ScheduledExecutorService executor = Executors.newScheduledThreadPool(3, task -> new Thread(task, "devices"));
        threads = executor;
        if (wanted) {
            long pause = clock.realPause().toMillis();
            repeat(executor, this::listen, pause, pause, TimeUnit.MILLISECONDS);
            repeat(executor, recorder::keep, pause / 2, pause, TimeUnit.MILLISECONDS);
            repeat(executor, thinning::fold, 1, 60, TimeUnit.MINUTES);
        }
    }

    private void listen() {
        try {
            recorder.alarmsFound(watch.listen());
        } catch (RuntimeException e) {
            LOG.error("A poll went wrong", e);
        }
    }

    /** None of the tasks throws, so that nobody has to look at their futures. */
    private static void repeat(
            ScheduledExecutorService executor, Runnable task, long first, long pause, TimeUnit unit) {
        if (executor.scheduleWithFixedDelay(task, first, pause, unit).isCancelled()) {
            throw new IllegalStateException("A task of the devices ended before it began");
        }
    }

    @Override
    public void stop() {
        ScheduledExecutorService executor = threads;
        if (executor != null) {
            executor.shutdownNow();
        }
        threads = null;
    }

    @Override
    public boolean isRunning() {
        return threads != null;
    }
}
