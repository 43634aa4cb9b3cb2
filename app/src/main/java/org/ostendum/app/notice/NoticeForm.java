package org.ostendum.app.notice;

import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.alarm.AlarmKind;

/**
 * How somebody wants to be told, as typed.
 *
 * @param kinds none for all grave ones
 * @param from "22:00"
 */
record NoticeForm(
        NoticeRule.@Nullable Way way,
        @Nullable String address,
        @Nullable List<AlarmKind> kinds,
        @Nullable String from,
        @Nullable String until,
        @Nullable String after) {

    String addressText() {
        return Objects.requireNonNullElse(address, "").strip();
    }

    public List<AlarmKind> chosen() {
        return kinds == null ? List.of() : kinds;
    }

    /** A mailbox, or the address of a program. */
    boolean isAddress() {
        String text = addressText();
        return way == NoticeRule.Way.MAIL
                ? text.length() <= 300 && text.matches("[^\\s@,;<>]+@[^\\s@,;<>]+\\.?[^\\s@,;<>]*")
                : isWeb(text);
    }

    private static boolean isWeb(String text) {
        try {
            URI uri = URI.create(text);
            String scheme = String.valueOf(uri.getScheme()).toLowerCase(Locale.ROOT);
            return text.length() <= 300 && uri.getHost() != null && (scheme.equals("http") || scheme.equals("https"));
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
