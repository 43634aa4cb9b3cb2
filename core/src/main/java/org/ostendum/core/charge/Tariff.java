package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * What energy costs by day and by night.
 *
 * @param day hundredths of the site's money for each kWh
 * @param night likewise
 * @param nightFrom included
 * @param nightUntil excluded; the same as {@code nightFrom} for no night at all
 */
public record Tariff(double day, double night, LocalTime nightFrom, LocalTime nightUntil, ZoneId zone) {
    private static final Duration STEP = Duration.ofMinutes(15);

    public static Tariff of(Rules rules, ZoneId zone) {
        return new Tariff(
                rules.number(RuleKey.TARIFF_DAY),
                rules.number(RuleKey.TARIFF_NIGHT),
                LocalTime.of(rules.value(RuleKey.TARIFF_NIGHT_FROM).intValue(), 0),
                LocalTime.of(rules.value(RuleKey.TARIFF_NIGHT_UNTIL).intValue(), 0),
                zone);
    }

    /** @return hundredths for a kWh at that moment */
    public double at(Instant moment) {
        LocalTime time = LocalTime.ofInstant(moment, zone);
        boolean late = !time.isBefore(nightFrom);
        boolean early = time.isBefore(nightUntil);
        boolean isNight = nightFrom.isAfter(nightUntil) ? late || early : late && early;
        return isNight ? night : day;
    }

    /**
     * @param kilowattHours drawn evenly between the two moments (no meter tells when)
     * @return in the site's money
     */
    public double cost(double kilowattHours, Instant from, Instant to) {
        double sum = 0;
        int steps = 0;
        Instant moment = from;
        do {
            sum += at(moment);
            steps++;
            moment = moment.plus(STEP);
        } while (moment.isBefore(to));
        return kilowattHours * sum / steps / 100;
    }
}
