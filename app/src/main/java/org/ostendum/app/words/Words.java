package org.ostendum.app.words;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.springframework.context.MessageSource;
import org.springframework.web.util.HtmlUtils;

/** Says things in one person's language, units and habits. */
public final class Words {
    private static final double ML_PER_GALLON = 3785.411784;
    private static final double KG_PER_POUND = 0.45359237;

    private final Person person;
    private final MessageSource messages;
    private final Locale locale;
    private final ZoneId zone;
    private final Instant now;
    private final String currency;

    public Words(Person person, MessageSource messages, Locale locale, ZoneId zone, Instant now) {
        this(person, messages, locale, zone, now, "");
    }

    /** @param currency of the site, its sign or letters; empty where nobody has said */
    public Words(Person person, MessageSource messages, Locale locale, ZoneId zone, Instant now, String currency) {
        this.person = person;
        this.messages = messages;
        this.locale = locale;
        this.zone = zone;
        this.now = now;
        this.currency = currency;
    }

    /** The sentence as plain text. */
    public String say(Message message) {
        return filled(message, UnaryOperator.identity());
    }

    /** The sentence as HTML, its figures in bold. */
    public String rich(Message message) {
        return filled(message, text -> "<b>" + HtmlUtils.htmlEscape(text) + "</b>");
    }

    /** Words of a procedure in the person's language; as they are written where nobody has said them in it. */
    public String phrase(String english) {
        return locale.equals(Language.ENGLISH.locale())
                ? english
                : Objects.requireNonNullElse(
                        messages.getMessage(Phrases.KEY + english, null, english, locale), english);
    }

    /** A text of the bundle; arguments as in {@link Message}. */
    public String text(String key, Object... arguments) {
        return say(Message.of(key, arguments));
    }

    /** How long a job takes: at the battery, and in all where that is longer. */
    public String span(NextThing.Time time) {
        int handsOn = (int) time.handsOn().toMinutes();
        long inAll = time.inAll().toMinutes();
        if (inAll <= handsOn) {
            return text("span.hands-on", handsOn);
        }
        return inAll < 120
                ? text("span.then-minutes", handsOn, (int) inAll)
                : text("span.then-hours", handsOn, (int) Math.round(inAll / 60.0));
    }

    /** "5 min", or "5 min + 8 h" for what goes on by itself afterwards. */
    public String brief(NextThing.Time time) {
        Duration handsOn = time.handsOn();
        Duration alone = time.inAll().minus(handsOn);
        if (alone.isNegative() || alone.isZero()) {
            return span(handsOn);
        }
        // Hours are told to the hour: nobody waits beside a charger by the minute.
        Duration rounded = alone.toMinutes() >= 120 ? Duration.ofHours(Math.round(alone.toMinutes() / 60.0)) : alone;
        return text("span.then", span(handsOn), span(rounded));
    }

    /** Names of values, one after the other. */
    public String names(Collection<? extends Enum<?>> values) {
        return values.stream().sorted().map(this::name).collect(Collectors.joining(", "));
    }

    /** The name of a value of an enumeration: "Severity.STOP", or "Device.Kind.TAG" for one within a class. */
    /** "Mo–Fr", "Tu, Th": days that follow one another are told by their first and last. */
    public String days(List<DayOfWeek> inOrder) {
        StringBuilder told = new StringBuilder();
        int i = 0;
        while (i < inOrder.size()) {
            int last = i;
            while (last + 1 < inOrder.size()
                    && inOrder.get(last + 1).getValue() == inOrder.get(last).getValue() + 1) {
                last++;
            }
            told.append(told.length() == 0 ? "" : ", ").append(text("day." + inOrder.get(i)));
            if (last > i) {
                told.append(last > i + 1 ? "–" : ", ").append(text("day." + inOrder.get(last)));
            }
            i = last + 1;
        }
        return told.toString();
    }

    public String name(Enum<?> value) {
        return text(named(value.getDeclaringClass()) + "." + value.name());
    }

    private static String named(Class<?> kind) {
        Class<?> around = kind.getEnclosingClass();
        return around == null ? kind.getSimpleName() : named(around) + "." + kind.getSimpleName();
    }

    private String filled(Message message, UnaryOperator<String> dress) {
        Object[] arguments =
                message.arguments().stream().map(a -> argument(a, dress)).toArray();
        return messages.getMessage(message.key(), arguments, locale);
    }

    /** Figures are dressed; a sentence inside a sentence is not, but its figures are. */
    private Object argument(Object value, UnaryOperator<String> dress) {
        if (value instanceof Integer number) {
            return number;
        }
        return value instanceof Message inner ? filled(inner, dress) : dress.apply(figure(value));
    }

    private String figure(Object value) {
        if (value instanceof CorrectedGravity gravity) {
            return gravity(gravity);
        } else if (value instanceof SpecificGravity gravity) {
            return gravity(gravity);
        } else if (value instanceof GravityDifference difference) {
            return String.valueOf(difference.points());
        } else if (value instanceof Millilitres millilitres) {
            return volume(millilitres.millilitres());
        } else if (value instanceof Celsius celsius) {
            return temperature(celsius);
        } else if (value instanceof Volts measured) {
            return volts(measured);
        } else if (value instanceof Cells cells) {
            return cells(cells);
        } else if (value instanceof LocalDate date) {
            return date(date);
        } else if (value instanceof Instant instant) {
            return moment(instant);
        } else if (value instanceof BigDecimal decimal) {
            return decimal(decimal);
        } else if (value instanceof Message message) {
            return say(message);
        } else if (value instanceof Enum<?> named) {
            return name(named);
        } else if (value instanceof Double number) {
            return decimal(BigDecimal.valueOf(number));
        }
        return value instanceof String said ? phrase(said) : value.toString();
    }

    public String gravity(CorrectedGravity gravity) {
        return points(gravity.points());
    }

    public String gravity(SpecificGravity gravity) {
        return points(gravity.points());
    }

    private String points(int points) {
        if (person.shownAsPoints()) {
            return String.valueOf(points);
        }
        int thousandths = points % 1000;
        return points / 1000 + (thousandths < 10 ? ".00" : thousandths < 100 ? ".0" : ".") + thousandths;
    }

    public String temperature(Celsius celsius) {
        return person.fahrenheit()
                ? String.format(locale, "%.0f °F", celsius.fahrenheit())
                : decimal(BigDecimal.valueOf(celsius.tenths(), 1)) + " °C";
    }

    /** The bare number in the person's unit, for an entry field. */
    public String temperatureTyped(Celsius celsius) {
        return person.fahrenheit()
                ? String.format(Locale.ROOT, "%.0f", celsius.fahrenheit())
                : decimal(BigDecimal.valueOf(celsius.tenths(), 1));
    }

    /** "1,250.00 EUR", in the currency in which the site counts; the bare amount where nobody has said. */
    public String money(double amount) {
        return (String.format(locale, "%,.2f", amount) + " " + currency).strip();
    }

    /** "1,250 EUR": an estimate, which nobody pays to the cent. */
    public String roughMoney(double amount) {
        return (String.format(locale, "%,.0f", amount) + " " + currency).strip();
    }

    /** "8.48 V". */
    public String volts(Volts volts) {
        return String.format(locale, "%.2f V", volts.volts());
    }

    /** "Mar 2026". */
    public String month(YearMonth month) {
        return month.format(DateTimeFormatter.ofPattern("MMM yyyy", locale));
    }

    public String volume(double millilitres) {
        if (person.usMeasures()) {
            return String.format(locale, "%.2f gal", millilitres / ML_PER_GALLON);
        }
        return millilitres >= 1000
                ? String.format(locale, "%.1f l", millilitres / 1000)
                : String.format(locale, "%.0f ml", millilitres);
    }

    public String weight(int kilograms) {
        return person.usMeasures()
                ? String.format(locale, "%,.0f lb", kilograms / KG_PER_POUND)
                : String.format(locale, "%,d kg", kilograms);
    }

    /** "610 mm", "24.0 in". */
    public String length(int millimetres) {
        return Measures.of(person).say("mm", millimetres);
    }

    /** "cell 9", "cells 3, 4 and 9", "cells 1 to 6". */
    public String cells(Cells cells) {
        List<Integer> numbers = cells.numbers();
        int first = numbers.get(0);
        int last = numbers.get(numbers.size() - 1);
        if (numbers.size() == 1) {
            return text("cells.one", first);
        }
        if (numbers.size() > 2 && last - first == numbers.size() - 1) {
            return text("cells.range", first, last);
        }
        String listed = String.join(
                ", ",
                numbers.subList(0, numbers.size() - 1).stream()
                        .map(String::valueOf)
                        .toList());
        return text("cells.several", listed, last);
    }

    public String date(LocalDate date) {
        return date.format(DateTimeFormatter.ofPattern("d MMM yyyy", locale));
    }

    /** "Nov 2026". */
    public String yearMonth(YearMonth month) {
        return month.format(DateTimeFormatter.ofPattern("MMM yyyy", locale));
    }

    /** Degrees Celsius in the person's unit. */
    public String degrees(double celsius) {
        return temperature(Celsius.of(celsius));
    }

    /** "Nov", in January with the year. */
    public String month(LocalDate day) {
        return day.format(DateTimeFormatter.ofPattern(day.getMonthValue() == 1 ? "MMM yyyy" : "MMM", locale));
    }

    /** How the batteries of a room have come to read differently together. */
    public String shift(SharedShift shift) {
        return text(
                shift.isLower() ? "shift.lower" : "shift.higher",
                date(shift.since()),
                String.valueOf(shift.batteries()),
                String.valueOf(shift.of()),
                String.valueOf(shift.points()));
    }

    public String date(Instant instant) {
        return date(LocalDate.ofInstant(instant, zone));
    }

    /** "05:40" today, "Mon 05:40" in the last six days, else "3 Nov 05:40" or with its year. */
    public String moment(Instant instant) {
        LocalDate day = LocalDate.ofInstant(instant, zone);
        LocalDate today = LocalDate.ofInstant(now, zone);
        String pattern;
        if (day.equals(today)) {
            pattern = "HH:mm";
        } else if (day.isBefore(today) && day.isAfter(today.minusDays(7))) {
            pattern = "EEE HH:mm";
        } else {
            pattern = day.isAfter(today.minusDays(330)) ? "d MMM HH:mm" : "d MMM yyyy HH:mm";
        }
        return instant.atZone(zone).format(DateTimeFormatter.ofPattern(pattern, locale));
    }

    public String clock(Instant instant) {
        return instant.atZone(zone).format(DateTimeFormatter.ofPattern("HH:mm:ss", locale));
    }

    /** "40 min", "3 h", "2 h 10". */
    public String span(Duration span) {
        long minutes = Math.max(0, span.toMinutes());
        if (minutes < 60) {
            return text("span.minutes", (int) minutes);
        }
        return minutes % 60 == 0 || minutes > 600
                ? text("span.hours", (int) Math.round(minutes / 60.0))
                : text("span.hours-minutes", (int) (minutes / 60), String.format(Locale.ROOT, "%02d", minutes % 60));
    }

    public String decimal(@Nullable BigDecimal value) {
        return value == null ? "" : value.stripTrailingZeros().toPlainString();
    }

    public Instant now() {
        return now;
    }

    /** Where the site's clocks stand. */
    public ZoneId zone() {
        return zone;
    }

    public Locale locale() {
        return locale;
    }

    public Person person() {
        return person;
    }
}
