package org.ostendum.demo.lives;

import java.time.Duration;
import java.time.Instant;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.measure.Round;

/** What was lived, so much earlier. */
final class Moved {
    private Moved() {}

    static Round by(Duration earlier, Round round) {
        return new Round(round.takenAt().minus(earlier), round.state(), round.temperature(), round.readings());
    }

    /** @throws IllegalArgumentException for an event that the simulation does not tell */
    static BatteryEvent by(Duration earlier, BatteryEvent event) {
        Instant at = event.at().minus(earlier);
        if (event instanceof Worked worked) {
            return new Worked(at, worked.taken());
        } else if (event instanceof ChargeEnded ended) {
            return new ChargeEnded(at, ended.ending(), ended.signs(), ended.returned());
        } else if (event instanceof Equalised equalised) {
            return new Equalised(at, equalised.lasted());
        } else if (event instanceof HottestOfCharge hottest) {
            return new HottestOfCharge(at, hottest.celsius());
        } else if (event instanceof Watered water) {
            return new Watered(at, water.poured(), water.cell(), water.fill());
        }
        throw new IllegalArgumentException("No life tells " + event.word());
    }
}
