package org.ostendum.app.device;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Asks every device once: the lines side by side, the devices of a line one after the other, so that a slow line is never
 * asked faster than it answers. A line that fails some times running is left until the next round.
 */
@Component
class PollCycle {
    private static final Logger LOG = LoggerFactory.getLogger(PollCycle.class);
    private static final int FAILURES_BORNE = 3;
    private static final long ANSWERS_WITHIN_SECONDS = 4;

    private final Wire wire;
    private final DeviceStatuses statuses;
    private final DeviceClock clock;
    private final ExecutorService lines = Executors.newCachedThreadPool(task -> new Thread(task, "device-line"));

    PollCycle(Wire wire, DeviceStatuses statuses, DeviceClock clock) {
        this.wire = wire;
        this.statuses = statuses;
        this.clock = clock;
    }

    /** @return devices that said something new that made sense */
    List<Device> ask(List<Device> devices) {
        Map<String, List<Device>> byLine = new LinkedHashMap<>();
        devices.forEach(
                d -> byLine.computeIfAbsent(d.line(), l -> new ArrayList<>()).add(d));
        List<Future<List<Device>>> asked = byLine.values().stream()
                .map(line -> lines.submit(() -> askLine(line)))
                .toList();
        List<Device> news = new ArrayList<>();
        for (Future<List<Device>> line : asked) {
            try {
                news.addAll(line.get());
            } catch (ExecutionException e) {
                LOG.error("A line could not be asked", e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        return news;
    }

    private List<Device> askLine(List<Device> line) {
        List<Device> news = new ArrayList<>();
        int silent = 0;
        for (Device device : line) {
            if (silent == FAILURES_BORNE) {
                break;
            }
            try {
                int[] words = wire.read(device.host(), device.port(), device.address(), DeviceStatuses.length(device))
                        .toCompletableFuture()
                        .get(ANSWERS_WITHIN_SECONDS, TimeUnit.SECONDS);
                silent = 0;
                if (statuses.hear(device, words, clock.now(), clock.nanos())) {
                    news.add(device);
                }
            } catch (ExecutionException e) {
                silent = Wire.isRefusal(e) ? 0 : silent + 1;
            } catch (TimeoutException e) {
                silent++;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                break;
            }
        }
        return news;
    }

    @PreDestroy
    void close() {
        lines.shutdownNow();
    }
}
