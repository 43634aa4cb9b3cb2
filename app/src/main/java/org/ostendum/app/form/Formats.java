package org.ostendum.app.form;

import java.math.BigDecimal;
import java.text.ParseException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.format.Formatter;
import org.springframework.validation.DataBinder;

/** How numbers, days and moments are written in forms and addresses: one way for the whole application. */
final class Formats {
    private Formats() {}

    /** In the place of every other way of reading them: the usual ones take 0x1F, 1e300 and the year 999999999. */
    static void register(DataBinder binder) {
        binder.addCustomFormatter(
                new Written<>(text -> PlainNumber.parse(text).map(BigDecimal::doubleValue), PlainNumber::say),
                Double.class,
                double.class);
        binder.addCustomFormatter(new Written<>(PlainNumber::parse, BigDecimal::toPlainString), BigDecimal.class);
        binder.addCustomFormatter(
                new Written<>(text -> PlainNumber.parse(text).flatMap(Formats::whole), String::valueOf),
                Integer.class,
                int.class);
        binder.addCustomFormatter(new Written<>(Formats::id, String::valueOf), Long.class, long.class);
        binder.addCustomFormatter(new Written<>(PlainDay::parse, LocalDate::toString), LocalDate.class);
        binder.addCustomFormatter(new Written<>(Formats::moment, Instant::toString), Instant.class);
    }

    private static Optional<Integer> whole(BigDecimal number) {
        boolean isWhole = number.stripTrailingZeros().scale() <= 0;
        return isWhole ? Optional.of(number.intValueExact()) : Optional.empty();
    }

    private static Optional<Long> id(String text) {
        return text.strip().matches("-?\\d{1,18}") ? Optional.of(Long.valueOf(text.strip())) : Optional.empty();
    }

    /** In the same years as days, so that no database is asked for the year 999999999. */
    private static Optional<Instant> moment(String text) {
        try {
            Instant moment = Instant.parse(text.strip());
            return moment.atOffset(ZoneOffset.UTC).getYear() > 9999
                    ? Optional.empty()
                    : PlainDay.parse(moment.atOffset(ZoneOffset.UTC)
                                    .toLocalDate()
                                    .toString())
                            .map(day -> moment);
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** A way of writing one kind of value. */
    private record Written<T>(Function<String, Optional<T>> read, Function<T, String> say) implements Formatter<T> {
        @Override
        public T parse(String text, Locale locale) throws ParseException {
            return read.apply(text).orElseThrow(() -> new ParseException(text, 0));
        }

        @Override
        public String print(T value, Locale locale) {
            return say.apply(value);
        }
    }
}
