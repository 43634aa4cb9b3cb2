package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.quantity.AmpHours;

/** The finished charges of a battery, put together from what was written down: worked, begun, finished. */
public final class PastCharges {
    /** What was begun and not finished within it was forgotten, not charged. */
    private static final Duration LONGEST = Duration.ofHours(24);

    private static final Duration SHORTEST = Duration.ofMinutes(20);

    private final List<TimeToFull.Past> finished = new ArrayList<>();
    private final List<Span> spans = new ArrayList<>();
    private double takenSince;
    private @Nullable Instant begun;

    private PastCharges() {}

    /** From the beginning of a charge to its end. */
    public record Span(Instant from, Instant to) {}

    /** @return oldest first; only those whose beginning, end and Ah before it are on record */
    public static PastCharges of(EventLog record) {
        PastCharges charges = new PastCharges();
        record.all().forEach(charges::add);
        return charges;
    }

    private void add(BatteryEvent event) {
        if (event instanceof Worked worked) {
            AmpHours taken = worked.taken();
            takenSince += taken == null ? 0 : taken.ampHours();
        } else if (event instanceof ChargeStarted) {
            begun = event.at();
        } else if (event instanceof ChargeEnded ended) {
            end(ended);
        }
    }

    /** One that was ended before full teaches nothing of how long a charge lasts, and leaves something to be put back. */
    private void end(ChargeEnded ended) {
        if (!ended.ending().isBeforeFull()) {
            finish(ended.at());
            takenSince = 0;
        } else if (ended.returned() != null) {
            takenSince = Math.max(0, takenSince - ended.returned().ampHours());
        }
        begun = null;
    }

    private void finish(Instant at) {
        Instant from = begun;
        if (from == null) {
            return;
        }
        Duration lasted = Duration.between(from, at);
        if (lasted.compareTo(SHORTEST) < 0 || lasted.compareTo(LONGEST) > 0) {
            return;
        }
        spans.add(new Span(from, at));
        if (takenSince > 0) {
            finished.add(new TimeToFull.Past(takenSince, lasted));
        }
    }

    public List<TimeToFull.Past> finished() {
        return List.copyOf(finished);
    }

    /** @return every finished charge, whether its Ah are known or not, oldest first */
    public List<Span> spans() {
        return List.copyOf(spans);
    }

    /** @return how many of {@link #spans} ended at a moment or later */
    public int countSince(Instant since) {
        return (int) spans.stream().filter(span -> !span.to().isBefore(since)).count();
    }

    /** @return Ah taken out since the last finished charge; null where none are on record */
    public @Nullable Double taken() {
        return takenSince > 0 ? (Double) takenSince : null;
    }
}
