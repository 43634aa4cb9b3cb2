package org.ostendum.app.charge;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.ostendum.app.charge.ChargeReadings.DeviceSample;
import org.springframework.stereotype.Component;

/** Samples on their way to the database: while it is away they wait here, in the order in which they were read. */
@Component
public class SampleBuffer {
    /** Hours of a large site; beyond them the oldest go. */
    private static final int MOST = 500_000;

    private static final int AT_ONCE = 2_000;

    private final ChargeReadings readings;
    private final Deque<DeviceSample> waiting = new ArrayDeque<>();

    SampleBuffer(ChargeReadings readings) {
        this.readings = readings;
    }

    public synchronized void add(DeviceSample sample) {
        if (waiting.size() >= MOST) {
            waiting.removeFirst();
        }
        waiting.addLast(sample);
    }

    public synchronized int size() {
        return waiting.size();
    }

    /** Writes all that wait; what could not be written goes on waiting. */
    public void flush() {
        List<DeviceSample> next = next();
        while (!next.isEmpty()) {
            readings.addOfDevices(next);
            written(next.size());
            next = next();
        }
    }

    private synchronized List<DeviceSample> next() {
        List<DeviceSample> next = new ArrayList<>();
        for (DeviceSample sample : waiting) {
            if (next.size() == AT_ONCE) {
                break;
            }
            next.add(sample);
        }
        return next;
    }

    private synchronized void written(int count) {
        for (int i = 0; i < count; i++) {
            waiting.removeFirst();
        }
    }
}
