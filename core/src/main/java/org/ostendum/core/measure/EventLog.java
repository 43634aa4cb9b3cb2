package org.ostendum.core.measure;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What happened to a battery, in the order of time. */
public final class EventLog {
    public static final EventLog NONE = new EventLog(List.of());

    private final List<BatteryEvent> events;

    public EventLog(List<BatteryEvent> events) {
        this.events =
                events.stream().sorted(Comparator.comparing(BatteryEvent::at)).toList();
    }

    public List<BatteryEvent> all() {
        return events;
    }

    /** @return those of one type after {@code from} and up to {@code to} */
    public List<BatteryEvent> between(EventType type, Instant from, Instant to) {
        return events.stream()
                .filter(e -> e.type() == type && e.at().isAfter(from) && !e.at().isAfter(to))
                .toList();
    }

    /** @return the sum of their quantities */
    public double sum(EventType type, Instant from, Instant to) {
        return between(type, from, to).stream()
                .mapToDouble(BatteryEvent::quantity)
                .sum();
    }

    /** @return the last of each thing up to and with a moment */
    public Happenings happenings(Instant at) {
        Instant water = last(EventType.WATER, at);
        int charges = water == null
                ? 0
                : between(EventType.CHARGE_END, water, at).size()
                        + between(EventType.EQUALISE_END, water, at).size();
        return new Happenings(
                water,
                null,
                last(EventType.CHARGE_END, at),
                last(EventType.EQUALISE_END, at),
                last(EventType.DISCHARGE, at),
                charges);
    }

    private @Nullable Instant last(EventType type, Instant at) {
        for (int i = events.size() - 1; i >= 0; i--) {
            BatteryEvent event = events.get(i);
            if (event.type() == type && !event.at().isAfter(at)) {
                return event.at();
            }
        }
        return null;
    }
}
