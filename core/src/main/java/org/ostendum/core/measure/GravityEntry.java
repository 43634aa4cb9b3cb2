package org.ostendum.core.measure;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ostendum.core.quantity.SpecificGravity;

/** What a typed or pasted text means as a gravity. */
public sealed interface GravityEntry {
    /** A gravity a cell can have. */
    record Accepted(SpecificGravity gravity) implements GravityEntry {}

    /** Digits or a decimal that make no gravity between 1.000 and 1.400. */
    record Impossible(String typed) implements GravityEntry {}

    /** Not the number of digits the person's form asks for, or no number at all. */
    record NotUnderstood(String typed, GravityForm form) implements GravityEntry {}

    Pattern DECIMAL = Pattern.compile("(\\d{1,5})[.,](\\d{1,4})");
    Pattern DIGITS = Pattern.compile("\\d{1,5}");

    /**
     * A text with a decimal mark is read as written, in either form; bare digits only in the person's own form.
     *
     * @param text as typed, blanks around it ignored
     */
    static GravityEntry read(String text, GravityForm form) {
        String typed = text.strip();
        Matcher decimal = DECIMAL.matcher(typed);
        if (decimal.matches()) {
            return ofDecimal(typed, decimal.group(1), decimal.group(2));
        }
        if (!DIGITS.matcher(typed).matches() || typed.length() != form.digits()) {
            return new NotUnderstood(typed, form);
        }
        return checked(typed, form.points(typed));
    }

    private static GravityEntry ofDecimal(String typed, String whole, String part) {
        boolean finerThanAPoint = part.length() == 4 && !part.endsWith("0");
        if (finerThanAPoint) {
            return new Impossible(typed);
        }
        String points = (part + "000").substring(0, 3);
        return checked(typed, Integer.parseInt(whole) * 1000 + Integer.parseInt(points));
    }

    private static GravityEntry checked(String typed, int points) {
        return SpecificGravity.isPossible(points)
                ? new Accepted(SpecificGravity.ofPoints(points))
                : new Impossible(typed);
    }
}
