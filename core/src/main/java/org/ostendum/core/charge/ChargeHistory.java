package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What a battery's charges came to, month by month: how often, how much was taken and put back, and what went amiss. A
 * charge begun again before the battery has worked is an opportunity start: it costs life as part of a cycle. Work that no
 * charge followed within a day is a missed one.
 */
public final class ChargeHistory {
    /** After so long without a charge a battery that has worked has been forgotten. */
    private static final Duration MISSED_AFTER = Duration.ofHours(24);

    private final ZoneId zone;
    private final Map<YearMonth, Sum> byMonth = new TreeMap<>(Comparator.reverseOrder());
    private @Nullable Instant workedAt;
    private @Nullable Instant begunAt;

    private ChargeHistory(ZoneId zone) {
        this.zone = zone;
    }

    public enum What {
        WORKED,
        BEGUN,
        FINISHED,
        EQUALISED,
        HOTTEST
    }

    /**
     * A line of the record.
     *
     * @param quantity Ah, hours of equalising, or °C; 0 where nobody has said
     */
    public record Line(Instant at, What what, double quantity) {}

    /**
     * One month.
     *
     * @param starts charges begun; those finished whose beginning is not on record count as begun
     * @param opportunity of them, begun without work since the one before
     * @param taken Ah
     * @param returned Ah
     * @param hottest °C; null where nobody has read it
     */
    public record Month(
            YearMonth month,
            int starts,
            int opportunity,
            int missed,
            double taken,
            double returned,
            double equaliseHours,
            @Nullable Double hottest) {

        /** @return Ah put in for each Ah taken out; null where one of them is not on record */
        public @Nullable Double chargeReturn() {
            return taken <= 0 || returned <= 0 ? null : (Double) (returned / taken);
        }
    }

    private static final class Sum {
        private int starts;
        private int opportunity;
        private int missed;
        private double taken;
        private double returned;
        private double equaliseHours;
        private @Nullable Double hottest;

        private Month month(YearMonth month) {
            return new Month(month, starts, opportunity, missed, taken, returned, equaliseHours, hottest);
        }
    }

    /** @return the newest month first */
    public static List<Month> of(List<Line> lines, Instant now, ZoneId zone) {
        ChargeHistory history = new ChargeHistory(zone);
        lines.stream().sorted(Comparator.comparing(Line::at)).forEach(history::add);
        history.missedBy(now);
        List<Month> months = new ArrayList<>();
        history.byMonth.forEach((month, sum) -> months.add(sum.month(month)));
        return months;
    }

    private Sum sum(Instant at) {
        return byMonth.computeIfAbsent(YearMonth.from(at.atZone(zone)), m -> new Sum());
    }

    private void add(Line line) {
        Sum sum = sum(line.at());
        switch (line.what()) {
            case WORKED -> {
                missedBy(line.at());
                sum.taken += line.quantity();
                workedAt = line.at();
                begunAt = null;
            }
            case BEGUN -> {
                missedBy(line.at());
                begin(sum, line.at());
            }
            case FINISHED -> {
                if (begunAt == null) {
                    begin(sum, line.at());
                }
                sum.returned += line.quantity();
                workedAt = null;
            }
            case EQUALISED -> sum.equaliseHours += line.quantity();
            case HOTTEST ->
                sum.hottest = sum.hottest == null ? line.quantity() : Math.max(sum.hottest, line.quantity());
        }
    }

    private void begin(Sum sum, Instant at) {
        sum.starts++;
        if (begunAt != null || workedAt == null) {
            sum.opportunity++;
        }
        begunAt = at;
    }

    /** Told in the month of the work that was forgotten. */
    private void missedBy(Instant at) {
        Instant worked = workedAt;
        if (worked != null && begunAt == null && Duration.between(worked, at).compareTo(MISSED_AFTER) > 0) {
            sum(worked).missed++;
        }
    }
}
