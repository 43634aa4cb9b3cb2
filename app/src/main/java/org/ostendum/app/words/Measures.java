package org.ostendum.app.words;

import java.util.Locale;
import java.util.Map;
import org.ostendum.core.people.Person;

/**
 * The units in which a person types and reads figures that are held in metric ones, and the form of his gravities. An address names them, so that a
 * figure in it means the same to everybody.
 */
public record Measures(boolean fahrenheit, boolean us, boolean points) {
    public static final Measures METRIC = new Measures(false, false, false);
    /** The unit of a gravity: 1.265, or 1265 for who likes points. */
    public static final String GRAVITY = "sg";

    private static final double POINTS = 1000;
    /** No gravity is so large as 1.265, none so small as 1265. */
    private static final double SURELY_POINTS = 100;

    private static final double FREEZING_FAHRENHEIT = 32;
    private static final double FAHRENHEIT_PER_KELVIN = 1.8;

    /** What one of the metric unit is in the other. */
    private static final Map<String, Other> US = Map.of(
            "l", new Other("gal", 1 / 3.785411784),
            "ml", new Other("fl oz", 1 / 29.5735295625),
            "kg", new Other("lb", 1 / 0.45359237),
            "mm", new Other("in", 1 / 25.4),
            "m³", new Other("ft³", 35.3146667),
            "m³/h", new Other("cfm", 35.3146667 / 60));

    private record Other(String unit, double times) {}

    public static Measures of(Person person) {
        return new Measures(person.fahrenheit(), person.usMeasures(), person.shownAsPoints());
    }

    /** @param code as {@link #code()} gave it; anything else is metric */
    public static Measures of(String code) {
        return new Measures(code.contains("f"), code.contains("u"), code.contains("p"));
    }

    public String code() {
        return (fahrenheit ? "f" : "") + (us ? "u" : "") + (points ? "p" : "");
    }

    /** @return the unit in which the figure is shown */
    public String unit(String metric) {
        if (isTemperature(metric)) {
            return "°F";
        } else if (metric.equals(GRAVITY)) {
            return "";
        }
        return us && US.containsKey(metric) ? other(metric).unit() : metric;
    }

    private boolean isTemperature(String metric) {
        return fahrenheit && (metric.equals("°C") || metric.equals("K"));
    }

    private static Other other(String metric) {
        Other other = US.get(metric);
        if (other == null) {
            throw new IllegalArgumentException("No other unit for " + metric);
        }
        return other;
    }

    public double shown(String metric, double value) {
        if (isTemperature(metric)) {
            return value * FAHRENHEIT_PER_KELVIN + (metric.equals("K") ? 0 : FREEZING_FAHRENHEIT);
        } else if (points && metric.equals(GRAVITY)) {
            return value * POINTS;
        }
        return us && US.containsKey(metric) ? value * other(metric).times() : value;
    }

    public double metric(String metric, double shown) {
        if (isTemperature(metric)) {
            return (shown - (metric.equals("K") ? 0 : FREEZING_FAHRENHEIT)) / FAHRENHEIT_PER_KELVIN;
        } else if (metric.equals(GRAVITY)) {
            return shown >= SURELY_POINTS ? shown / POINTS : shown;
        }
        return us && US.containsKey(metric) ? shown / other(metric).times() : shown;
    }

    /** @return digits after the point of a figure that has so many in metric units */
    public int digits(String metric, int inMetric) {
        return points && metric.equals(GRAVITY) ? Math.max(0, inMetric - 3) : inMetric;
    }

    /** "3.4 l", "0.90 gal": three figures, or all of them before the point. */
    public String say(String metric, double value) {
        double shown = shown(metric, value);
        int digits = Math.abs(shown) >= 100 ? 0 : Math.abs(shown) >= 10 ? 1 : 2;
        String number = String.format(Locale.ROOT, "%." + digits + "f", shown);
        return (number + " " + unit(metric)).strip();
    }
}
