package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/** When a charged battery may work again: after its hours, or once it is within a few kelvin of the room. Practice {@code charge.cool}. */
public record Cooling(Instant readyAt, boolean isByTemperature) {
    /**
     * @param end of the charge
     * @param now the moment at which the temperatures were read
     * @param battery its electrolyte; null where nobody has read it
     * @param room null likewise
     */
    public static Cooling of(Instant end, Instant now, @Nullable Celsius battery, @Nullable Celsius room, Rules rules) {
        Instant byClock = end.plus(rules.duration(RuleKey.COOLING));
        if (battery == null || room == null || now.isAfter(byClock)) {
            return new Cooling(byClock, false);
        }
        double above = battery.degrees() - room.degrees();
        return above <= rules.number(RuleKey.COOL_WITHIN) ? new Cooling(now, true) : new Cooling(byClock, false);
    }

    public boolean isReady(Instant now) {
        return !now.isBefore(readyAt);
    }

    public Duration left(Instant now) {
        return isReady(now) ? Duration.ZERO : Duration.between(now, readyAt);
    }
}
