package org.ostendum.app.form;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.GravityEntry;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/** Readings as a person types them, in his own form and units. */
public final class TypedInput {
    /** Electrolyte of a battery in a room, in use or in storage. */
    private static final Celsius COLDEST = Celsius.of(-40);

    private static final Celsius HOTTEST = Celsius.of(80);

    private TypedInput() {}

    /**
     * What a typed text comes to.
     *
     * @param value null where nothing was typed or it was refused
     * @param fault why it was refused; null when it was taken
     */
    public record Read<T>(@Nullable T value, @Nullable String fault) {
        public static <T> Read<T> taken(T value) {
            return new Read<>(value, null);
        }

        public static <T> Read<T> nothing() {
            return new Read<>(null, null);
        }

        static <T> Read<T> refused(String why) {
            return new Read<>(null, why);
        }

        /** The same as part of something larger. */
        public <S> Read<S> as(Function<T, ? extends S> larger) {
            return new Read<>(value == null ? null : larger.apply(value), fault);
        }

        /** The value; what is wrong is told beside the field. */
        public @Nullable T orTell(String field, Faults.Finder faults) {
            if (fault != null) {
                faults.say(field, fault);
            }
            return value;
        }

        /** The value; what is wrong is told beside the field. */
        public @Nullable T orTell(String field, TypedForm form) {
            if (fault != null) {
                form.say(field, fault);
            }
            return value;
        }
    }

    /** A gravity in the person's form, or with a decimal mark in any. */
    public static Read<SpecificGravity> gravity(@Nullable String text, Words words) {
        if (text == null || text.isBlank()) {
            return Read.nothing();
        }
        Person person = words.person();
        GravityEntry entry = GravityEntry.read(text, person.gravityForm());
        if (entry instanceof GravityEntry.Accepted accepted) {
            return Read.taken(accepted.gravity());
        } else if (entry instanceof GravityEntry.Impossible impossible) {
            return Read.refused(words.text("round.refused", Typed.shortened(impossible.typed())));
        }
        int digits = person.gravityForm().digits();
        String example = digits == 3 ? "265" : "1265";
        return Read.refused(words.text("round.not-understood", Typed.shortened(text.strip()), digits, example));
    }

    /** A temperature of electrolyte in the person's degrees. */
    public static Read<Celsius> temperature(@Nullable String text, Words words) {
        if (text == null || text.isBlank()) {
            return Read.nothing();
        }
        return celsius(text, words.person().fahrenheit())
                .filter(c -> c.compareTo(COLDEST) >= 0 && c.compareTo(HOTTEST) <= 0)
                .map(Read::taken)
                .orElseGet(() -> Read.refused(
                        words.text("round.temperature.refused", Typed.shortened(text.strip()), COLDEST, HOTTEST)));
    }

    private static Optional<Celsius> celsius(String text, boolean fahrenheit) {
        try {
            return PlainNumber.parse(text)
                    .map(BigDecimal::doubleValue)
                    .map(typed -> fahrenheit ? Celsius.ofFahrenheit(typed) : Celsius.of(typed));
        } catch (OutOfRange e) {
            return Optional.empty();
        }
    }

    /** A moment at the latest now, as people say it. */
    public static Read<Instant> past(@Nullable String text, Words words) {
        return text == null || text.isBlank()
                ? Read.nothing()
                : past(text, SaidTime.parse(text, words.now(), words.zone()), words);
    }

    /** The same, or a day alone, of which the noon is meant. */
    public static Read<Instant> pastDay(@Nullable String text, Words words) {
        return text == null || text.isBlank()
                ? Read.nothing()
                : past(text, SaidTime.parseOrDay(text, words.now(), words.zone()), words);
    }

    private static Read<Instant> past(String text, Optional<Instant> at, Words words) {
        if (at.isPresent() && at.get().isAfter(words.now())) {
            return Read.refused(words.text("log.fault.future", Typed.shortened(text.strip())));
        }
        return at.map(Read::taken)
                .orElseGet(() -> Read.refused(words.text("log.fault.when", Typed.shortened(text.strip()))));
    }

    /** A value of a list, by its name. */
    public static <E extends Enum<E>> Read<E> choice(Class<E> kind, @Nullable String text, Words words) {
        if (text == null || text.isBlank()) {
            return Read.nothing();
        }
        return Arrays.stream(kind.getEnumConstants())
                .filter(value -> value.name().equals(text.strip()))
                .findFirst()
                .map(Read::taken)
                .orElseGet(() -> Read.refused(words.text("fault.choose")));
    }

    /** Volts in a range, both ends included. */
    public static Read<Volts> volts(@Nullable String text, double least, double most, Words words) {
        if (text == null || text.isBlank()) {
            return Read.nothing();
        }
        return PlainNumber.parse(text)
                .map(BigDecimal::doubleValue)
                .filter(v -> v >= least && v <= most)
                .map(v -> Read.taken(Volts.of(v)))
                .orElseGet(() -> Read.refused(words.text(
                        "fault.number", Typed.shortened(text.strip()), PlainNumber.say(least), PlainNumber.say(most))));
    }
}
