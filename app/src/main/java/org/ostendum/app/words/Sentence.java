package org.ostendum.app.words;

import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A sentence of which only its gaps differ, such as "Take the fuse out of cable {0}.": what stands in them is said anew as well. */
final class Sentence {
    private static final Pattern GAP = Pattern.compile("\\{(\\d)}");

    private final Pattern english;
    private final String other;

    /**
     * @param english with {0}, {1} … in their order
     * @param other with the same gaps in any order
     */
    Sentence(String english, String other) {
        StringBuilder pattern = new StringBuilder();
        int from = 0;
        Matcher gap = GAP.matcher(english);
        while (gap.find()) {
            pattern.append(Pattern.quote(english.substring(from, gap.start()))).append("(.+?)");
            from = gap.end();
        }
        this.english = Pattern.compile(
                pattern.append(Pattern.quote(english.substring(from))).toString());
        this.other = other;
    }

    static boolean hasGaps(String phrase) {
        return GAP.matcher(phrase).find();
    }

    /** @return the sentence in the other language; empty where the words are another sentence */
    Optional<String> said(String words, UnaryOperator<String> inGaps) {
        Matcher matcher = english.matcher(words);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        return Optional.of(GAP.matcher(other)
                .replaceAll(gap ->
                        Matcher.quoteReplacement(inGaps.apply(matcher.group(Integer.parseInt(gap.group(1)) + 1)))));
    }
}
