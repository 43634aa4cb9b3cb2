package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

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

    public enum What {
        WORKED,
        BEGUN,
        FINISHED
    }

    /**
     * A line of the record.
     *
     * @param ampHours taken out by work; 0 where nobody has said
     */
    public record Line(Instant at, What what, double ampHours) {}

    /** From the beginning of a charge to its end. */
    public record Span(Instant from, Instant to) {}

    /** @return oldest first; only those whose beginning, end and Ah before it are on record */
    public static PastCharges of(List<Line> record) {
        PastCharges charges = new PastCharges();
        record.stream().sorted(Comparator.comparing(Line::at)).forEach(charges::add);
        return charges;
    }

    private void add(Line line) {
        switch (line.what()) {
            case WORKED -> takenSince += line.ampHours();
            case BEGUN -> begun = line.at();
            case FINISHED -> {
                finish(line.at());
                takenSince = 0;
                begun = null;
            }
        }
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

    /** @return Ah taken out since the last finished charge; null where none are on record */
    public @Nullable Double taken() {
        return takenSince > 0 ? (Double) takenSince : null;
    }
}
