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
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.quantity.AmpHours;

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
    public static List<Month> of(EventLog record, Instant now, ZoneId zone) {
        ChargeHistory history = new ChargeHistory(zone);
        record.all().forEach(history::add);
        history.missedBy(now);
        List<Month> months = new ArrayList<>();
        history.byMonth.forEach((month, sum) -> months.add(sum.month(month)));
        return months;
    }

    private Sum sum(Instant at) {
        return byMonth.computeIfAbsent(YearMonth.from(at.atZone(zone)), m -> new Sum());
    }

    private void add(BatteryEvent event) {
        if (event instanceof Worked worked) {
            work(worked);
        } else if (event instanceof ChargeStarted) {
            missedBy(event.at());
            begin(sum(event.at()), event.at());
        } else if (event instanceof ChargeEnded ended) {
            end(ended);
        } else if (event instanceof Equalised equalising) {
            sum(event.at()).equaliseHours += equalising.hours();
        } else if (event instanceof HottestOfCharge hottest) {
            Sum sum = sum(event.at());
            double degrees = hottest.celsius().degrees();
            sum.hottest = sum.hottest == null ? degrees : Math.max(sum.hottest, degrees);
        }
    }

    private void work(Worked worked) {
        missedBy(worked.at());
        sum(worked.at()).taken += amount(worked.taken());
        workedAt = worked.at();
        begunAt = null;
    }

    private void end(ChargeEnded ended) {
        Sum sum = sum(ended.at());
        if (begunAt == null) {
            begin(sum, ended.at());
        }
        sum.returned += amount(ended.returned());
        workedAt = null;
    }

    private static double amount(@Nullable AmpHours ampHours) {
        return ampHours == null ? 0 : ampHours.ampHours();
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
