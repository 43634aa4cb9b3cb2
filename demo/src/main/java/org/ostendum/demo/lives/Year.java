package org.ostendum.demo.lives;

import java.util.List;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.measure.Round;

/** What a site has on record of one battery's year, each list in the order of time. */
public record Year(List<BatteryEvent> events, List<Round> rounds) {
    public Year {
        events = List.copyOf(events);
        rounds = List.copyOf(rounds);
    }
}
