package org.ostendum.app.form;

import java.text.Normalizer;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.people.Language;

/**
 * A moment that lies behind, as people say it: 22:00 (the last one), yesterday 14:30, Mon 7:15, 2 h ago, 20 min ago, 5 d ago, or in full
 * 2026-03-31 14:05. In Spanish as well, whoever types it: ayer 14:30, lun 7:15, hace 2 h.
 */
public final class SaidTime {
    private static final Pattern AGO =
            Pattern.compile("(an|a|half an|\\d{1,4}) ?(d|day|days|h|hour|hours|min|minute|minutes) ago");
    private static final Pattern HACE =
            Pattern.compile("hace (una|un|media|\\d{1,4}) ?(d|día|dia|días|dias|h|hora|horas|min|minuto|minutos)");
    private static final Pattern CLOCK = Pattern.compile("(?:at |a las |a la )?(\\d{1,2})[:.](\\d{2})");
    private static final Pattern DAY_FIRST = Pattern.compile("(\\S+) (?:at |a las |a la )?(\\S+)");
    private static final Pattern ISO_BREAK = Pattern.compile("^(\\d{4}-\\d{2}-\\d{2})t");
    private static final Set<String> TODAY = Set.of("today", "hoy");
    private static final Set<String> YESTERDAY = Set.of("yesterday", "ayer");
    private static final int SHORTEST_DAY_NAME = 2;
    /** A clock this little ahead is a slip of today, not last night. */
    private static final Duration SLIP = Duration.ofHours(1);

    private SaidTime() {}

    /**
     * @param now the moment at which it is said
     * @return the moment meant, which may lie ahead when it was said so; empty where the text is none
     */
    public static Optional<Instant> parse(String text, Instant now, ZoneId zone) {
        String said = text.strip().toLowerCase(Locale.ROOT).replace(',', ' ').replaceAll("\\s+", " ");
        Matcher ago = AGO.matcher(said);
        if (ago.matches()) {
            return Optional.of(now.minus(length(ago.group(1), ago.group(2))));
        }
        Matcher hace = HACE.matcher(said);
        if (hace.matches()) {
            return Optional.of(now.minus(length(hace.group(1), hace.group(2))));
        }
        @Nullable LocalTime alone = clock(said);
        if (alone != null) {
            return Optional.of(lastAt(alone, now, zone));
        }
        Matcher both = DAY_FIRST.matcher(ISO_BREAK.matcher(said).replaceFirst("$1 "));
        return both.matches() ? onDay(both.group(1), both.group(2), now, zone) : Optional.empty();
    }

    /** The same, or a day alone, of which the noon is meant: for looking back. */
    public static Optional<Instant> parseOrDay(String text, Instant now, ZoneId zone) {
        return parse(text, now, zone)
                .or(() -> day(text.strip().toLowerCase(Locale.ROOT), LocalDate.ofInstant(now, zone))
                        .map(day -> day.atTime(LocalTime.NOON).atZone(zone).toInstant())
                        .map(noon -> noon.isAfter(now) && isToday(text) ? now : noon));
    }

    private static boolean isToday(String text) {
        return TODAY.contains(text.strip().toLowerCase(Locale.ROOT));
    }

    private static Duration length(String number, String unit) {
        if (number.startsWith("half") || number.equals("media")) {
            return Duration.ofMinutes(30);
        }
        long many = Character.isDigit(number.charAt(0)) ? Long.parseLong(number) : 1;
        return switch (unit.charAt(0)) {
            case 'd' -> Duration.ofDays(many);
            case 'h' -> Duration.ofHours(many);
            default -> Duration.ofMinutes(many);
        };
    }

    private static @Nullable LocalTime clock(String text) {
        Matcher matcher = CLOCK.matcher(text);
        try {
            return matcher.matches()
                    ? LocalTime.of(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2)))
                    : null;
        } catch (DateTimeException e) {
            return null;
        }
    }

    private static Instant lastAt(LocalTime time, Instant now, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        Instant at = today.atTime(time).atZone(zone).toInstant();
        return at.isAfter(now.plus(SLIP))
                ? today.minusDays(1).atTime(time).atZone(zone).toInstant()
                : at;
    }

    private static Optional<Instant> onDay(String first, String second, Instant now, ZoneId zone) {
        boolean clockFirst = clock(first) != null;
        @Nullable LocalTime time = clock(clockFirst ? first : second);
        Optional<LocalDate> day = day(clockFirst ? second : first, LocalDate.ofInstant(now, zone));
        return time == null
                ? Optional.empty()
                : day.map(d -> d.atTime(time).atZone(zone).toInstant());
    }

    private static Optional<LocalDate> day(String word, LocalDate today) {
        if (TODAY.contains(word)) {
            return Optional.of(today);
        } else if (YESTERDAY.contains(word)) {
            return Optional.of(today.minusDays(1));
        }
        return weekday(word)
                .map(day -> today.with(TemporalAdjusters.previousOrSame(day)))
                .or(() -> PlainDay.parse(word));
    }

    private static Optional<DayOfWeek> weekday(String word) {
        return Arrays.stream(DayOfWeek.values())
                .filter(day -> word.length() >= SHORTEST_DAY_NAME && isNamed(day, word))
                .findFirst();
    }

    private static boolean isNamed(DayOfWeek day, String word) {
        return Arrays.stream(Language.values())
                .map(language -> day.getDisplayName(TextStyle.FULL, language.locale()))
                .anyMatch(name -> plain(name).startsWith(plain(word)));
    }

    /** Without accents, which are left out in a hurry: sabado, mie. */
    private static String plain(String word) {
        return Normalizer.normalize(word.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "");
    }
}
