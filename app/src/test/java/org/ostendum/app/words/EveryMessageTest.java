package org.ostendum.app.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.ChoiceFormat;
import java.text.DecimalFormat;
import java.text.Format;
import java.text.MessageFormat;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/** No raw key, no empty place and no fault of formatting can reach a reader, whatever is put into a sentence. */
class EveryMessageTest {
    /** One argument of each kind that {@link Message} may carry. */
    private static final List<Object> KINDS = List.of(
            3,
            2.5,
            new BigDecimal("12.50"),
            new CorrectedGravity(12650),
            SpecificGravity.ofPoints(1265),
            new GravityDifference(300),
            new Millilitres(1500),
            Celsius.of(27),
            Volts.of(2.1),
            new Cells(List.of(1, 2, 3, 7)),
            LocalDate.of(2026, 11, 25),
            Instant.parse("2026-11-25T10:00:00Z"),
            EntryKind.WATER,
            Message.of("fault.blank"),
            "T-07");

    private static Properties bundle() throws IOException {
        Properties bundle = new Properties();
        try (Reader reader = new InputStreamReader(
                EveryMessageTest.class.getResourceAsStream("/messages.properties"), StandardCharsets.UTF_8)) {
            bundle.load(reader);
        }
        return bundle;
    }

    static Stream<Object> kinds() {
        return KINDS.stream();
    }

    private static boolean wantsNumber(Format format) {
        return format instanceof ChoiceFormat || format instanceof DecimalFormat;
    }

    /** Messages of constraints name their values; they are filled by the validator. */
    private static boolean isOfConstraint(String text) {
        return text.matches(".*\\{(typed|min|max)\\}.*");
    }

    private static String rendered(String key, String text, Object kind) {
        Format[] formats = new MessageFormat(text, Locale.ENGLISH).getFormatsByArgumentIndex();
        Object[] arguments = Arrays.stream(formats)
                .map(format -> wantsNumber(format) && !(kind instanceof Integer) ? 2 : kind)
                .toArray();
        return TestWords.metric().text(key, arguments);
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void everySentenceTakesEveryKindOfArgument(Object kind) throws IOException {
        Set<String> broken = new TreeSet<>();
        bundle().forEach((key, value) -> {
            String text = value.toString();
            if (isOfConstraint(text)) {
                return;
            }
            String said = rendered(key.toString(), text, kind);
            if (said.contains("??") || said.matches("(?s).*\\{\\w+\\}.*") || said.contains("org.ostendum")) {
                broken.add(key + ": " + said);
            }
        });
        assertThat(broken).isEmpty();
    }

    /** An enumeration one of whose values has a name is shown somewhere: then the others have to have one. */
    @Test
    void noValueOfANamedEnumerationLacksItsName() throws Exception {
        Set<String> keys = bundle().stringPropertyNames();
        Set<String> named = keys.stream()
                .filter(key -> key.matches("([A-Z]\\w*\\.)+[A-Z_0-9]+"))
                .map(key -> key.substring(0, key.lastIndexOf('.')))
                .collect(Collectors.toSet());
        Set<String> lacking = new TreeSet<>();
        for (Class<?> kind : enumerations()) {
            String name =
                    kind.getName().substring(kind.getPackageName().length() + 1).replace('$', '.');
            if (named.contains(name)) {
                Arrays.stream(kind.getEnumConstants())
                        .map(value -> name + "." + ((Enum<?>) value).name())
                        .filter(key -> !keys.contains(key))
                        .forEach(lacking::add);
            }
        }
        assertThat(lacking).isEmpty();
    }

    private static Set<Class<?>> enumerations() throws IOException, ClassNotFoundException {
        Set<Class<?>> found = new java.util.HashSet<>();
        for (Path root : List.of(Path.of("target/classes"), Path.of("../core/target/classes"))) {
            try (Stream<Path> classes = Files.walk(root)) {
                for (Path file :
                        classes.filter(p -> p.toString().endsWith(".class")).toList()) {
                    String name =
                            root.relativize(file).toString().replace('/', '.').replaceAll("\\.class$", "");
                    if (!name.endsWith("package-info") && !name.contains("jooq")) {
                        Class<?> kind = Class.forName(name, false, EveryMessageTest.class.getClassLoader());
                        if (kind.isEnum()) {
                            found.add(kind);
                        }
                    }
                }
            }
        }
        assertThat(found).hasSizeGreaterThan(30);
        return found;
    }
}
