package org.ostendum.app.form;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A number as people write it: digits, with a point or a comma before the decimals and a sign if need be. At most nine
 * digits before and six after; no exponents, no letters.
 */
public final class PlainNumber {
    private static final int DIGITS = 6;
    private static final Pattern WRITTEN = Pattern.compile("[-+−]?(\\d{1,9}([.,]\\d{0,6})?|[.,]\\d{1,6})");

    private PlainNumber() {}

    /** @return the number; empty where the text is none */
    public static Optional<BigDecimal> parse(String text) {
        String bare = text.strip();
        return WRITTEN.matcher(bare).matches()
                ? Optional.of(new BigDecimal(bare.replace(',', '.').replace('−', '-')))
                : Optional.empty();
    }

    /** "12.5", "12", never "12.0", "1.2E7" or "38.400000000000006". */
    public static String say(double number) {
        return BigDecimal.valueOf(number)
                .setScale(DIGITS, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
