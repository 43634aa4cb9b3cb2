package org.ostendum.core.event;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.AmpHours;

/** What happened to a battery, in the order of time. Immutable. */
public final class EventLog {
    public static final EventLog NONE = new EventLog(List.of());

    private final List<? extends BatteryEvent> events;

    /** @param events in any order; those of one moment stay in theirs */
    public EventLog(Collection<? extends BatteryEvent> events) {
        this(events.stream().sorted(Comparator.comparing(BatteryEvent::at)).toList());
    }

    private EventLog(List<? extends BatteryEvent> inOrder) {
        this.events = inOrder;
    }

    /**
     * @param inOrder by time; not copied, so that a growing list can be asked while it grows: nothing may be taken out of
     *     it or put before its end
     */
    public static EventLog over(List<? extends BatteryEvent> inOrder) {
        return new EventLog(inOrder);
    }

    public List<BatteryEvent> all() {
        return List.copyOf(events);
    }

    public boolean isEmpty() {
        return events.isEmpty();
    }

    /** @return when the first of them happened; null for none */
    public @Nullable Instant begun() {
        return events.isEmpty() ? null : events.get(0).at();
    }

    /** @return the first of one kind */
    public <E extends BatteryEvent> Optional<E> first(Class<E> kind) {
        for (BatteryEvent event : events) {
            if (kind.isInstance(event)) {
                return Optional.of(kind.cast(event));
            }
        }
        return Optional.empty();
    }

    /** @return those of one kind after {@code from} and up to {@code to} */
    public <E extends BatteryEvent> List<E> between(Class<E> kind, Instant from, Instant to) {
        List<E> found = new ArrayList<>();
        for (int i = firstAfter(from); i < events.size() && !events.get(i).at().isAfter(to); i++) {
            BatteryEvent event = events.get(i);
            if (kind.isInstance(event)) {
                found.add(kind.cast(event));
            }
        }
        return found;
    }

    private int firstAfter(Instant from) {
        int low = 0;
        int high = events.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (events.get(middle).at().isAfter(from)) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    /** @return Ah out by work */
    public double taken(Instant from, Instant to) {
        return sum(between(BatteryEvent.Worked.class, from, to).stream()
                .map(BatteryEvent.Worked::taken)
                .filter(Objects::nonNull)
                .toList());
    }

    /** @return Ah in by charges */
    public double returned(Instant from, Instant to) {
        return sum(between(BatteryEvent.ChargeEnded.class, from, to).stream()
                .map(BatteryEvent.ChargeEnded::returned)
                .filter(Objects::nonNull)
                .toList());
    }

    private static double sum(List<AmpHours> amounts) {
        return amounts.stream().mapToDouble(AmpHours::ampHours).sum();
    }

    /** @return ml poured */
    public double poured(Instant from, Instant to) {
        return between(BatteryEvent.Watered.class, from, to).stream()
                .mapToDouble(BatteryEvent.Watered::millilitres)
                .sum();
    }

    /** @return hours of equalising */
    public double equalised(Instant from, Instant to) {
        return between(BatteryEvent.Equalised.class, from, to).stream()
                .mapToDouble(BatteryEvent.Equalised::hours)
                .sum();
    }
}
