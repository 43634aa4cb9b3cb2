package org.ostendum.app.job.begin;

import java.time.Instant;
import java.util.Optional;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.state.BatteryState;

/** Work that the plan in force has a battery down for. */
public interface PlannedWork {
    /**
     * A shift that a battery would be late for.
     *
     * @param machine code of the one it is to work in
     * @param works from when
     * @param ready when it may work again at the earliest
     */
    record Late(String machine, Instant works, Instant ready) {}

    /**
     * @param procedure id of a job that is begun now
     * @return the first shift for which the battery would not be ready then; empty for none
     */
    Optional<Late> late(Battery battery, BatteryState state, String procedure);
}
