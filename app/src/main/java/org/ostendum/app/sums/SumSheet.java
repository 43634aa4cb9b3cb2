package org.ostendum.app.sums;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.ostendum.app.draw.Shape;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.sums.sketch.Given;
import org.ostendum.app.sums.sketch.Sketches;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.quantity.OutOfRange;

/** A sum with what was typed into it, in the person's units, and what it comes to. */
final class SumSheet {
    private static final int MOST_DIGITS = 4;
    /** What lies below is the rounding of a computer. */
    private static final double SMALLEST_SHOWN = 1e-6;

    private final Sum sum;
    private final Measures measures;
    private final Words words;
    private final TypedForm form;
    private final Map<String, Double> values = new LinkedHashMap<>();
    private final List<Sum.Output> results;

    /**
     * @param typed by name, in the units of {@code typedIn}
     * @param start metric values that take the place of what was not typed
     */
    SumSheet(Sum sum, Map<String, String> typed, Measures typedIn, Map<String, Double> start, Words words) {
        this.sum = sum;
        this.words = words;
        this.measures = Measures.of(words.person());
        Map<String, String> shown = new LinkedHashMap<>();
        for (Sum.Input input : sum.inputs()) {
            String text = typed.get(input.name());
            shown.put(
                    input.name(),
                    text == null ? plain(shown(input, startOf(input, start))) : turned(input, text, typedIn));
        }
        this.form = new TypedForm(shown, words);
        for (Sum.Input input : sum.inputs()) {
            double number = form.number(input.name(), shown(input, input.least()), shown(input, input.most()));
            values.put(input.name(), within(input, measures.metric(input.unit(), number)));
        }
        this.results = form.isSound() ? work() : List.of();
    }

    /** Turning units and back may step over an end by a hair. */
    private static double within(Sum.Input input, double value) {
        return Math.max(input.least(), Math.min(input.most(), value));
    }

    private static double startOf(Sum.Input input, Map<String, Double> start) {
        return within(input, start.getOrDefault(input.name(), input.usual()));
    }

    private double shown(Sum.Input input, double metric) {
        return rounded(measures.shown(input.unit(), metric));
    }

    private static double rounded(double value) {
        return BigDecimal.valueOf(value)
                .setScale(MOST_DIGITS, RoundingMode.HALF_UP)
                .doubleValue();
    }

    /** What somebody else typed in his units, in this person's; what is no number stays as it was typed. */
    private String turned(Sum.Input input, String text, Measures typedIn) {
        if (typedIn.equals(measures) && !input.unit().equals(Measures.GRAVITY)) {
            return text;
        }
        try {
            double number = Double.parseDouble(text.strip().replace(',', '.'));
            return plain(shown(input, typedIn.metric(input.unit(), number)));
        } catch (NumberFormatException e) {
            return text;
        }
    }

    private List<Sum.Output> work() {
        try {
            return sum.work(values);
        } catch (OutOfRange e) {
            Sum.Input last = sum.inputs().get(sum.inputs().size() - 1);
            form.fault(last.name(), "sums.together", e.quantity(), e.value(), e.least(), e.most());
            return List.of();
        }
    }

    static String plain(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    /** @return in metric units; empty where the sum does not ask for it, or nothing sound was typed */
    Optional<Double> metric(String name) {
        return isWorked() ? Optional.ofNullable(values.get(name)) : Optional.empty();
    }

    public String typed(String name) {
        return form.get(name);
    }

    public Faults faults() {
        return form.faults();
    }

    public Measures measures() {
        return measures;
    }

    public boolean isWorked() {
        return !results.isEmpty();
    }

    public List<Sum.Output> results() {
        return results;
    }

    public String unit(String metric) {
        return measures.unit(metric);
    }

    /** "12.40 l" */
    public String figure(Sum.Output result) {
        BigDecimal value = BigDecimal.valueOf(measures.shown(result.unit(), result.value()));
        BigDecimal rounded = value.setScale(measures.digits(result.unit(), result.digits()), RoundingMode.HALF_UP);
        return (number(value, rounded) + " " + unit(result.unit())).strip();
    }

    /** An amount too small for its digits is not nothing: it gets two of its own. */
    private static String number(BigDecimal value, BigDecimal rounded) {
        if (rounded.signum() != 0 || value.abs().doubleValue() < SMALLEST_SHOWN) {
            return rounded.toPlainString();
        }
        return value.round(new MathContext(2, RoundingMode.HALF_UP))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** The picture of what it comes to; none where it comes to nothing. */
    public List<Shape> sketch() {
        if (!isWorked()) {
            return List.of();
        }
        Map<String, Double> byName = results.stream().collect(Collectors.toMap(Sum.Output::name, Sum.Output::value));
        return Sketches.of(sum.name(), new Given(values, byName, words, measures))
                .shapes();
    }

    /** The results first, then the values they came from: a line of the ledger. */
    String line() {
        String told = results.stream()
                .map(r -> words.text("sum.value." + r.name()) + " " + figure(r))
                .collect(Collectors.joining("; "));
        String from = sum.inputs().stream()
                .map(i -> (words.text("sum.value." + i.name()) + " " + typed(i.name()) + " " + unit(i.unit())).strip())
                .collect(Collectors.joining("; "));
        return words.text("sums.line", words.text("sum." + sum.name()), told + "; " + from);
    }
}
