package org.ostendum.core.state;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.Cooling;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.fact.ChargeFacts;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.Heat;

/** How warm a battery is at one moment, and how long it still cools. */
public final class HeatNow {
    /** An older temperature says nothing about now. Rule of thumb: a battery of a few hundred kilograms changes by a few kelvin. */
    private static final Duration TEMPERATURE_GOOD_FOR = Duration.ofHours(4);

    private final ChargeFacts charge;
    private final Surroundings around;
    private final Rules rules;
    private final Instant now;
    private final @Nullable Heat temperature;
    private final @Nullable Instant coolingUntil;

    HeatNow(Facts facts, Surroundings around, Rules rules, Instant now) {
        this.charge = facts.charge();
        this.around = around;
        this.rules = rules;
        this.now = now;
        this.temperature = temperature(facts.condition().heat());
        this.coolingUntil = charge.onCharge() == null ? cooling() : null;
    }

    private @Nullable Heat temperature(@Nullable Heat read) {
        if (around.battery() != null) {
            return new Heat(around.battery(), now);
        } else if (read == null) {
            return null;
        }
        Duration good = isHot(read) ? rules.duration(RuleKey.COOLING) : TEMPERATURE_GOOD_FOR;
        return Duration.between(read.at(), now).compareTo(good) > 0 ? null : read;
    }

    private boolean isHot(Heat heat) {
        return heat.celsius().compareTo(rules.celsius(RuleKey.CHARGE_START_MOST)) >= 0;
    }

    /** @return the electrolyte’s temperature: by its tag, or as read lately; null where nobody knows */
    public @Nullable Heat temperature() {
        return temperature;
    }

    /** @return whether it is too hot to be put on charge; one that has rested its cooling hours is not */
    public Answer isTooHotToCharge() {
        if (temperature != null) {
            return Answer.of(isHot(temperature));
        }
        Instant turned = charge.turned();
        boolean rested = turned != null
                && charge.onCharge() == null
                && Duration.between(turned, now).compareTo(rules.duration(RuleKey.COOLING)) >= 0;
        return rested ? Answer.NO : Answer.UNKNOWN;
    }

    /** @param limit a temperature of the rules */
    public boolean isAbove(RuleKey limit) {
        return temperature != null && temperature.celsius().compareTo(rules.celsius(limit)) >= 0;
    }

    /** @return when it will be cool enough to work; null while it is not cooling */
    public @Nullable Instant coolingUntil() {
        return coolingUntil;
    }

    public boolean isCooling() {
        return coolingUntil != null;
    }

    public Duration coolingLeft() {
        return coolingUntil == null ? Duration.ZERO : Duration.between(now, coolingUntil);
    }

    private @Nullable Instant cooling() {
        Instant until = byCharge();
        if (temperature != null && isHot(temperature)) {
            Instant byHeat = temperature.at().plus(rules.duration(RuleKey.COOLING));
            until = until == null || byHeat.isAfter(until) ? byHeat : until;
        }
        return until != null && until.isAfter(now) ? until : null;
    }

    private @Nullable Instant byCharge() {
        Instant ended = charge.chargeEnded();
        Instant worked = charge.worked();
        if (ended == null || (worked != null && worked.isAfter(ended))) {
            return null;
        }
        Celsius battery = temperature == null || !temperature.at().isAfter(ended) ? null : temperature.celsius();
        return Cooling.of(ended, now, battery, around.room(), rules).readyAt();
    }
}
