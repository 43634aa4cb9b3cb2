package org.ostendum.app.sums.sketch;

import java.util.Locale;
import java.util.Map;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;

/** What a sketch is drawn from: values and results of a sum by their names, all metric, and the words to tell them in. */
public record Given(Map<String, Double> values, Map<String, Double> results, Words words, Measures measures) {
    double value(String name) {
        return of(values, name);
    }

    double result(String name) {
        return of(results, name);
    }

    boolean hasResult(String name) {
        return results.containsKey(name);
    }

    private static double of(Map<String, Double> map, String name) {
        Double value = map.get(name);
        if (value == null) {
            throw new IllegalArgumentException("No " + name);
        }
        return value;
    }

    String say(String unit, double value) {
        return measures.say(unit, value);
    }

    String gravity(double value) {
        double shown = measures.shown(Measures.GRAVITY, value);
        return String.format(Locale.ROOT, "%." + measures.digits(Measures.GRAVITY, 3) + "f", shown);
    }

    String text(String key, Object... arguments) {
        return words.text(key, arguments);
    }
}
