package org.ostendum.app.words;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.text.MessageFormat;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.support.AbstractMessageSource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.util.function.SingletonSupplier;
import tools.jackson.core.type.TypeReference;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * What the procedures say in other languages, found by the English words: a job keeps the words it was begun with, and each reader reads
 * them in his own. What a site has added itself stays as it was written.
 */
public final class Phrases extends AbstractMessageSource {
    /** Before the words, so that no phrase is taken for the key of a message. */
    static final String KEY = "phrase:";

    private static final String FILES = "classpath:procedures/*/phrases.yaml";
    private static final Pattern LANGUAGE = Pattern.compile(".*/procedures/(\\w+)/phrases\\.yaml");

    /** @param sentences those with gaps */
    private record Known(Map<String, String> phrases, List<Sentence> sentences) {
        static Known of(Map<String, String> phrases) {
            return new Known(
                    phrases,
                    phrases.entrySet().stream()
                            .filter(phrase -> Sentence.hasGaps(phrase.getKey()))
                            .map(phrase -> new Sentence(phrase.getKey(), phrase.getValue()))
                            .toList());
        }

        @Nullable
        String said(String english) {
            String whole = phrases.get(english);
            return whole != null ? whole : filled(english).orElse(null);
        }

        private Optional<String> filled(String english) {
            return sentences.stream()
                    .flatMap(sentence -> sentence.said(english, this::orAsItIs).stream())
                    .findFirst();
        }

        private String orAsItIs(String english) {
            return Objects.requireNonNullElse(said(english), english);
        }
    }

    /** Read when the first reader of another language comes: a site may have none, and every start would wait for it. */
    private final Supplier<Map<String, Known>> byLanguage = SingletonSupplier.of(Phrases::read);

    private static Map<String, Known> read() {
        Map<String, Known> byLanguage = new HashMap<>();
        try {
            for (Resource file : new PathMatchingResourcePatternResolver().getResources(FILES)) {
                Matcher named = LANGUAGE.matcher(file.getURL().toString());
                if (named.matches()) {
                    byLanguage.put(named.group(1), Known.of(phrases(file)));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("What the procedures say in other languages cannot be read.", e);
        }
        return byLanguage;
    }

    private static Map<String, String> phrases(Resource file) throws IOException {
        return new YAMLMapper().readValue(file.getContentAsByteArray(), new TypeReference<>() {});
    }

    /** @return the English words that are known in a language, as {@code es}, with theirs */
    public Map<String, String> in(String language) {
        Known known = byLanguage.get().get(language);
        return known == null ? Map.of() : Map.copyOf(known.phrases());
    }

    @Override
    protected @Nullable String resolveCodeWithoutArguments(String code, Locale locale) {
        if (!code.startsWith(KEY)) {
            return null;
        }
        Known known = byLanguage.get().get(locale.getLanguage());
        return known == null ? null : known.said(code.substring(KEY.length()));
    }

    @Override
    protected @Nullable MessageFormat resolveCode(String code, Locale locale) {
        return null;
    }
}
