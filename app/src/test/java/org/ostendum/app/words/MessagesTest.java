package org.ostendum.app.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.Judge;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MessagesTest {
    private static final Path MAIN = Path.of("src/main");
    private static final Path CORE = Path.of("../core/src/main");

    private final Properties messages = messages();

    private static Properties messages() {
        Properties properties = new Properties();
        try (Reader reader = new InputStreamReader(
                MessagesTest.class.getResourceAsStream("/messages.properties"), StandardCharsets.UTF_8)) {
            properties.load(reader);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return properties;
    }

    private static Stream<Path> files(Path root, String ending) throws IOException {
        return Files.walk(root).filter(p -> p.toString().endsWith(ending));
    }

    private static Stream<Path> templates() throws IOException {
        return files(MAIN, ".html");
    }

    @ParameterizedTest
    @MethodSource("templates")
    void everyTextOfATemplateIsInTheBundle(Path template) throws IOException {
        String html = Files.readString(template);
        Set<String> keys = new TreeSet<>();
        Pattern.compile("#\\{([a-zA-Z][\\w.-]*)[}(]").matcher(html).results().forEach(m -> keys.add(m.group(1)));
        Pattern.compile("words\\.text\\('([\\w.-]*\\w)'")
                .matcher(html)
                .results()
                .forEach(m -> keys.add(m.group(1)));
        assertThat(messages.stringPropertyNames()).containsAll(keys);
    }

    /** English first: all words in the bundle, so that another language can follow. */
    @ParameterizedTest
    @MethodSource("templates")
    void noTemplateHasWordsOfItsOwn(Path template) throws IOException {
        String bare = Files.readString(template)
                .replaceAll("(?s)<!--.*?-->", "")
                .replaceAll("<title th:replace=.*?</title>", "")
                .replaceAll("<(?:[^>\"']|\"[^\"]*\"|'[^']*')*>", " ")
                .replaceAll("OSTENDUM|°C|°F", "");
        assertThat(Pattern.compile("\\p{L}{2,}").matcher(bare).results().map(r -> r.group()))
                .isEmpty();
    }

    /** Of two texts under one key the later one would be said in both places. */
    @Test
    void noKeyStandsTwice() throws IOException {
        List<String> keys = Files.readString(MAIN.resolve("resources/messages.properties"))
                .lines()
                .filter(line -> line.matches("[\\w-]+(\\.[\\w-]+)*=.*"))
                .map(line -> line.substring(0, line.indexOf('=')))
                .toList();
        assertThat(keys).hasSizeGreaterThan(1000).doesNotHaveDuplicates();
    }

    @Test
    void everySentenceOfTheCodeIsInTheBundle() throws IOException {
        Set<String> keys = new TreeSet<>();
        Pattern key = Pattern.compile(
                "(?:Message\\.of|words\\.text|faults\\.add|fault)\\(\\s*(?:\"\\w+\", )?\"([a-z][\\w-]*(?:\\.[\\w-]+)+)\"[,)]");
        for (Path root : List.of(MAIN, CORE)) {
            for (Path file : files(root, ".java").toList()) {
                key.matcher(Files.readString(file)).results().forEach(m -> keys.add(m.group(1)));
            }
        }
        assertThat(keys).hasSizeGreaterThan(40);
        assertThat(messages.stringPropertyNames()).containsAll(keys);
    }

    @Test
    void everyRuleStepKindQuestionAndLackIsNamed() {
        Set<String> keys = new TreeSet<>();
        for (RuleKey rule : RuleKey.values()) {
            keys.addAll(List.of("rule." + rule.key(), "rule." + rule.key() + ".note", "practice." + rule.practice()));
        }
        Arrays.stream(NextStep.values())
                .filter(step -> step != NextStep.NONE)
                .forEach(step -> keys.addAll(List.of("next." + step, "tile." + step)));
        Judge.questions().forEach(question -> keys.add("open." + question));
        Arrays.stream(EntryKind.values()).forEach(kind -> keys.add("EntryKind." + kind));
        Arrays.stream(Missing.values()).forEach(missing -> keys.add("Missing." + missing));
        assertThat(messages.stringPropertyNames()).containsAll(keys);
    }

    /** Nothing is kept for translators to do in vain. Keys are written whole, or as a beginning that ends in a point. */
    @Test
    void everyTextOfTheBundleIsUsed() throws IOException {
        StringBuilder sources = new StringBuilder();
        for (Path root : List.of(MAIN, CORE)) {
            for (String ending : List.of(".java", ".html")) {
                for (Path file : files(root, ending).toList()) {
                    sources.append(Files.readString(file));
                }
            }
        }
        Set<String> said = new TreeSet<>();
        Pattern.compile("[\\w-]+(?:\\.[\\w-]+)*\\.?").matcher(sources).results().forEach(m -> said.add(m.group()));
        assertThat(messages.stringPropertyNames())
                .filteredOn(key -> !isSaid(key, said))
                .isEmpty();
    }

    private static boolean isSaid(String key, Set<String> said) {
        if (said.contains(key) || key.matches("(rule|practice)\\..*|[A-Z].*")) {
            return true;
        }
        String stem = key.replaceAll("\\.why$", "");
        if (said.contains(stem)) {
            return true;
        }
        for (int point = key.indexOf('.'); point > 0; point = key.indexOf('.', point + 1)) {
            if (said.contains(key.substring(0, point + 1))) {
                return true;
            }
        }
        int last = stem.lastIndexOf('.');
        return last > 0 && said.contains(stem.substring(0, last));
    }

    /** A straight apostrophe would swallow the arguments after it. */
    @Test
    void noMessageHasAStraightApostrophe() {
        assertThat(messages.values()).noneMatch(text -> text.toString().contains("'"));
    }
}
