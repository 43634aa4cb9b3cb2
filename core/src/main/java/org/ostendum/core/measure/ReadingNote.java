package org.ostendum.core.measure;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Free words beside a reading, of which {@code colour:brown}, {@code colour:milky}, {@code colour:clear} and {@code
 * particles} are understood.
 *
 * @param colour the look they tell, null for none
 */
public record ReadingNote(String text, @Nullable Colour colour) {
    private static final ReadingNote NONE = new ReadingNote("", null);

    public static ReadingNote of(String text) {
        if (text.isEmpty()) {
            return NONE;
        }
        String plain = text.toLowerCase(Locale.ROOT);
        for (Colour colour : Colour.values()) {
            String word = colour.name().toLowerCase(Locale.ROOT);
            if (plain.contains(colour == Colour.PARTICLES ? word : "colour:" + word)) {
                return new ReadingNote(text, colour);
            }
        }
        return new ReadingNote(text, null);
    }

    /** @return the words that tell a look */
    public static String telling(@Nullable Colour colour) {
        if (colour == null) {
            return "";
        }
        String word = colour.name().toLowerCase(Locale.ROOT);
        return colour == Colour.PARTICLES ? word : "colour:" + word;
    }
}
