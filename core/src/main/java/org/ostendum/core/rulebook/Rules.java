package org.ostendum.core.rulebook;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Volts;

/** The thresholds in force for one battery: defaults, then the site's values, then the model's. Immutable. */
public final class Rules {
    private final Map<RuleKey, BigDecimal> set;
    /** A judge asks for the same limits at each cell. */
    private final Map<RuleKey, Figure> figures = new EnumMap<>(RuleKey.class);

    private record Figure(double value, int whole, int tenths) {
        static Figure of(BigDecimal value) {
            return new Figure(
                    value.doubleValue(),
                    value.intValue(),
                    value.movePointRight(1).intValue());
        }
    }

    private Rules(Map<RuleKey, BigDecimal> set) {
        this.set = set;
        for (RuleKey key : RuleKey.values()) {
            figures.put(key, Figure.of(value(key)));
        }
    }

    public static Rules standard() {
        return new Rules(new EnumMap<>(RuleKey.class));
    }

    /**
     * @param values win over those in force
     * @throws IllegalArgumentException for a value outside its rule's range
     */
    public Rules with(Map<RuleKey, BigDecimal> values) {
        EnumMap<RuleKey, BigDecimal> merged = new EnumMap<>(RuleKey.class);
        merged.putAll(set);
        values.forEach((key, value) -> merged.put(key, checked(key, value)));
        return new Rules(merged);
    }

    private static BigDecimal checked(RuleKey key, BigDecimal value) {
        if (!key.allows(value)) {
            throw new IllegalArgumentException(
                    key.key() + " is " + value + ", allowed is " + key.least() + " to " + key.most());
        }
        return value;
    }

    public BigDecimal value(RuleKey key) {
        return set.getOrDefault(key, key.standard());
    }

    /** The same where it is only reckoned with, in the rule's own unit. */
    public double number(RuleKey key) {
        return figureOf(key).value();
    }

    /** The rule with the value it has now, as a verdict keeps it. */
    public RuleUse use(RuleKey key) {
        return new RuleUse(key, value(key));
    }

    public GravityDifference points(RuleKey key) {
        return new GravityDifference(in(key, Unit.POINTS).tenths());
    }

    public Celsius celsius(RuleKey key) {
        return new Celsius(in(key, Unit.CELSIUS).tenths());
    }

    public int count(RuleKey key) {
        return in(key, Unit.COUNT).whole();
    }

    public int percent(RuleKey key) {
        return in(key, Unit.PERCENT).whole();
    }

    public Volts volts(RuleKey key) {
        return new Volts(in(key, Unit.MILLIVOLTS).whole());
    }

    /** @throws IllegalArgumentException for a rule that is no length of time */
    public Duration duration(RuleKey key) {
        double value = number(key);
        return switch (key.unit()) {
            case MINUTES -> Duration.ofSeconds(Math.round(value * 60));
            case HOURS -> Duration.ofSeconds(Math.round(value * 3600));
            case DAYS -> Duration.ofSeconds(Math.round(value * 86_400));
            default -> throw new IllegalArgumentException(key.key() + " is no length of time");
        };
    }

    public TemperatureCorrection temperatureCorrection() {
        return new TemperatureCorrection(celsius(RuleKey.TEMPERATURE_REFERENCE));
    }

    private Figure in(RuleKey key, Unit unit) {
        if (key.unit() != unit) {
            throw new IllegalArgumentException(key.key() + " is in " + key.unit() + ", not " + unit);
        }
        return figureOf(key);
    }

    private Figure figureOf(RuleKey key) {
        return Objects.requireNonNull(figures.get(key));
    }
}
