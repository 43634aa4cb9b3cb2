package org.ostendum.app.device;

import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.alarm.PollAlarms;
import org.ostendum.app.charge.SampleBuffer;
import org.ostendum.app.live.LiveEvents;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Brings memory and database together after a poll: what was heard is written down, what people did
 * meanwhile is learned, alarms are raised and cleared. Whatever a database that is away does not take waits.
 */
@Component
class PollRecorder {
    private static final Logger LOG = LoggerFactory.getLogger(PollRecorder.class);

    private final Devices devices;
    private final DeviceWatch watch;
    private final ChargeWatch charges;
    private final AirWatch airs;
    private final SampleBuffer samples;
    private final AlarmService alarms;
    private final LiveEvents live;
    private final AtomicReference<@Nullable PollAlarms> latest = new AtomicReference<>();

    PollRecorder(
            Devices devices,
            DeviceWatch watch,
            ChargeWatch charges,
            AirWatch airs,
            SampleBuffer samples,
            AlarmService alarms,
            LiveEvents live) {
        this.devices = devices;
        this.watch = watch;
        this.charges = charges;
        this.airs = airs;
        this.samples = samples;
        this.alarms = alarms;
        this.live = live;
    }

    /** What the last round came to. */
    void alarmsFound(PollAlarms round) {
        latest.set(round);
    }

    /** Never throws: the next time comes anyway. */
    void keep() {
        try {
            watch.know(devices.all());
            airs.learn();
            charges.learn();
            samples.flush();
            charges.keep();
            PollAlarms alarmsFound = latest.getAndSet(null);
            if (alarmsFound != null) {
                alarms.reconcile(alarmsFound);
                live.changed();
            }
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("The database is away; {} samples wait", samples.size());
        } catch (RuntimeException e) {
            LOG.error("The books of the devices could not be kept", e);
        }
    }
}
