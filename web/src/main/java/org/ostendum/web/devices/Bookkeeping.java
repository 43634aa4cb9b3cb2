package org.ostendum.web.devices;

import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.ostendum.web.store.Devices;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Brings memory and database together after a round of listening: what was heard is written down, what people did
 * meanwhile is learned, alarms are raised and cleared. Whatever a database that is away does not take waits.
 */
@Component
class Bookkeeping {
    private static final Logger LOG = LoggerFactory.getLogger(Bookkeeping.class);

    private final Devices devices;
    private final DeviceWatch watch;
    private final ChargeWatch charges;
    private final AirWatch airs;
    private final SampleBuffer samples;
    private final AlarmDesk alarms;
    private final LiveEvents live;
    private final AtomicReference<@Nullable Judged> latest = new AtomicReference<>();

    Bookkeeping(
            Devices devices,
            DeviceWatch watch,
            ChargeWatch charges,
            AirWatch airs,
            SampleBuffer samples,
            AlarmDesk alarms,
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
    void judged(Judged round) {
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
            Judged judged = latest.getAndSet(null);
            if (judged != null) {
                alarms.reconcile(judged);
                live.changed();
            }
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("The database is away; {} samples wait", samples.size());
        } catch (RuntimeException e) {
            LOG.error("The books of the devices could not be kept", e);
        }
    }
}
