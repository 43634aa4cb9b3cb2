package org.ostendum.app.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.people.Language;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** What is said in one language is said in each, with the same figures in it. */
class LanguagesTest {
    /** Shorter ones are put together of two, as "to the plug". */
    private static final int LETTERS_TOLD = 12;

    private static final Pattern ARGUMENT = Pattern.compile("\\{(\\w+)");
    private static final Map<String, String> ENGLISH = bundle("");
    /** Members of a procedure's file that are read by people. */
    private static final Set<String> READ =
            Set.of("title", "purpose", "references", "do", "why", "hold", "text", "then", "unit");
    /** The same in every language: units, standards and what has its own words. */
    private static final Pattern NEUTRAL = Pattern.compile("%|% LEL|°C|Ah|Nm|V|h|ml");

    private static Stream<Language> others() {
        return Arrays.stream(Language.values()).filter(language -> language != Language.ENGLISH);
    }

    private static Map<String, String> bundle(String ending) {
        Properties texts = new Properties();
        try (InputStream in = LanguagesTest.class.getResourceAsStream("/messages" + ending + ".properties")) {
            texts.load(new InputStreamReader(Objects.requireNonNull(in), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        Map<String, String> bundle = new TreeMap<>();
        texts.forEach((key, text) -> bundle.put(key.toString(), text.toString()));
        return bundle;
    }

    private static Map<String, String> bundle(Language language) {
        return bundle("_" + language.locale().getLanguage());
    }

    @ParameterizedTest
    @MethodSource("others")
    void nothingIsLeftInEnglishAndNothingIsSaidInVain(Language language) {
        assertThat(bundle(language).keySet()).isEqualTo(ENGLISH.keySet());
    }

    @ParameterizedTest
    @MethodSource("others")
    void eachTextHasTheSameArguments(Language language) {
        Map<String, String> other = bundle(language);
        assertThat(ENGLISH).allSatisfy((key, text) -> assertThat(arguments(other.getOrDefault(key, "")))
                .as(key)
                .isEqualTo(arguments(text)));
    }

    private static Set<String> arguments(String text) {
        return ARGUMENT.matcher(text).results().map(m -> m.group(1)).collect(Collectors.toCollection(TreeSet::new));
    }

    /** A straight apostrophe would swallow the arguments after it. */
    @ParameterizedTest
    @MethodSource("others")
    void noTextHasAStraightApostrophe(Language language) {
        assertThat(bundle(language).values()).noneMatch(text -> text.contains("'"));
    }

    @ParameterizedTest
    @MethodSource("others")
    void everyTextOfAProcedureIsKnown(Language language) throws IOException {
        Set<String> texts = new TreeSet<>();
        for (Resource file : new PathMatchingResourcePatternResolver().getResources("classpath:procedures/*.yaml")) {
            collect(new YAMLMapper().readTree(file.getContentAsByteArray()), false, texts);
        }
        texts.removeIf(text -> NEUTRAL.matcher(text).matches());
        Map<String, String> known = new Phrases().in(language.locale().getLanguage());
        assertThat(texts).hasSizeGreaterThan(500);
        assertThat(known.keySet()).containsAll(texts);
        Set<String> besides = new TreeSet<>(known.keySet());
        besides.removeAll(texts);
        String sources = sources();
        assertThat(besides).allSatisfy(phrase -> assertThat(literals(phrase)).allMatch(sources::contains));
    }

    /** Steps are also written by the application; their words stand in its code, between the gaps. */
    private static List<String> literals(String phrase) {
        return Arrays.stream(phrase.split("\\{\\d}|(?<=\\.) "))
                .map(String::strip)
                .filter(literal -> literal.length() > LETTERS_TOLD)
                .toList();
    }

    private static String sources() throws IOException {
        // A line of the ledger may hold a sentence of the bundle.
        StringBuilder sources = new StringBuilder(String.join("\n", ENGLISH.values()));
        for (Path root : List.of(Path.of("src/main/java"), Path.of("../core/src/main/java"))) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    sources.append(Files.readString(file));
                }
            }
        }
        return sources.toString();
    }

    private static void collect(JsonNode node, boolean read, Set<String> texts) {
        if (node.isString() && read) {
            texts.add(node.asString());
        } else if (node.isArray()) {
            node.forEach(item -> collect(item, read, texts));
        } else if (node.isObject()) {
            node.properties().forEach(member -> collect(member.getValue(), READ.contains(member.getKey()), texts));
        }
    }

    /** Figures of a bundle count alike: what is one in English is one in each. */
    @ParameterizedTest
    @MethodSource("others")
    void choicesHaveTheSameLimits(Language language) {
        Map<String, String> other = bundle(language);
        assertThat(ENGLISH)
                .allSatisfy((key, text) ->
                        assertThat(limits(other.getOrDefault(key, ""))).as(key).isEqualTo(limits(text)));
    }

    /** One brace too few shows only when the sentence is said. */
    @ParameterizedTest
    @MethodSource("others")
    void eachTextCanBeFilledIn(Language language) {
        Map<String, String> other = bundle(language);
        assertThat(ENGLISH).allSatisfy((key, text) -> {
            // Faults of single fields name their arguments and are filled in by the validation.
            if (!text.matches("(?s).*\\{(typed|min|max)}.*")) {
                assertThat(new MessageFormat(other.getOrDefault(key, ""), language.locale())
                                .getFormatsByArgumentIndex())
                        .as(key)
                        .hasSameSizeAs(new MessageFormat(text, Locale.ENGLISH).getFormatsByArgumentIndex());
            }
        });
    }

    private static Set<String> limits(String text) {
        return Pattern.compile("\\{(\\d+), ?choice,|(\\d+[#<])")
                .matcher(text)
                .results()
                .map(MatchResult::group)
                .map(found -> found.replace(" ", ""))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void wordsAreThoseOfThePerson() {
        Words spanish = TestWords.in(Language.SPANISH);
        assertThat(spanish.text("nav.fleet")).isEqualTo("Flota");
        assertThat(spanish.text("finding.hot", "49 °C")).isEqualTo("Trabaja caliente: hasta 49 °C.");
        assertThat(spanish.phrase("Water the battery")).isEqualTo("Poner agua a la batería");
        assertThat(TestWords.metric().phrase("Water the battery")).isEqualTo("Water the battery");
    }

    /** What a site has written stays as it is; what ships is said anew, also within a sentence. */
    @Test
    void wordsWithinASentenceAreSaidAnewWhereTheyAreKnown() {
        Words spanish = TestWords.in(Language.SPANISH);
        assertThat(spanish.text("job.reference", "The maker’s manual comes first."))
                .isEqualTo("Primero: El manual del fabricante va primero.");
        assertThat(spanish.text("job.reference", "Ask Maud.")).isEqualTo("Primero: Ask Maud.");
        assertThat(spanish.phrase("Cable M+ on: the plug + to block 1 +. Then the shroud over block 1 +."))
                .isEqualTo("Cable M+ puesto: el enchufe + al bloque 1 +. Luego la cubierta sobre bloque 1 +.");
    }

    /** Decimals are typed with a point, so they are shown with one. */
    @Test
    void figuresKeepTheirPoint() {
        assertThat(TestWords.in(Language.SPANISH).money(1250.5)).isEqualTo("1,250.50");
        assertThat(Language.SPANISH.locale().getLanguage()).isEqualTo("es");
        assertThat(String.format(Language.SPANISH.locale(), "%.2f", 8.48)).isEqualTo("8.48");
        assertThat(Locale.ENGLISH).isEqualTo(Language.ENGLISH.locale());
    }
}
