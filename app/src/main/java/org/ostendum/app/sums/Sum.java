package org.ostendum.app.sums;

import java.util.List;
import java.util.Map;
import org.ostendum.core.quantity.OutOfRange;

/** One calculator: what it takes, what it gives, by which formula. The names of its values are its contract with programs. */
interface Sum {
    /** Name in addresses, such as {@code mixing}. */
    String name();

    List<Input> inputs();

    /**
     * @param values a number for every input, each inside its range
     * @return the results in their order
     * @throws OutOfRange when the inputs do not go together
     */
    List<Output> work(Map<String, Double> values);

    /** The formula in short and its source. */
    String source();

    /**
     * A value to be given.
     *
     * @param name with its unit, such as {@code wantedLitres}
     * @param usual where nobody says otherwise
     */
    record Input(String name, String unit, double least, double most, double usual) {}

    /**
     * A result.
     *
     * @param digits after the point when shown
     */
    record Output(String name, String unit, double value, int digits) {}
}
