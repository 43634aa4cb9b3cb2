package org.ostendum.app.plan.calendar;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.plan.calendar.CalendarFeeds.Feed;
import org.ostendum.core.plan.PlanJob;
import org.springframework.stereotype.Component;

/** Which jobs of a plan an address tells of. */
@Component
class FeedJobs {
    private final Batteries batteries;
    private final Rooms rooms;

    FeedJobs(Batteries batteries, Rooms rooms) {
        this.batteries = batteries;
        this.rooms = rooms;
    }

    /** @return one's own with what is nobody's; everybody's; or those of a room */
    Predicate<PlanJob> of(Feed feed) {
        if (!feed.whole()) {
            return job -> job.person() == null || feed.login().equals(job.person());
        }
        return feed.room() == null ? job -> true : inRoom(feed.room().id());
    }

    /** What is done on a charger is done where that hangs; anything else, and what a car charges by itself, where the battery stands. */
    private Predicate<PlanJob> inRoom(long room) {
        Set<String> standing =
                batteries.inRoom(room).stream().map(Battery::code).collect(Collectors.toSet());
        Map<String, Long> hanging = new HashMap<>();
        rooms.ofChargers().forEach(plan -> plan.chargers().forEach(charger -> hanging.put(charger.code(), plan.id())));
        return job -> {
            @Nullable Long at = job.charger() == null ? null : hanging.get(job.charger());
            return at == null ? standing.contains(job.battery()) : at == room;
        };
    }
}
