package org.ostendum.app.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.security.Access;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.rulebook.RuleKey;

/** Every practice of the trade that this far is in the product stands in the table, and the table tells the truth. */
class PracticesTest {
    private static final Path TABLE = Path.of("../docs/practices.md");
    private static final Pattern LINE = Pattern.compile("\\| `([a-z.-]+)` \\| (.+) \\|");
    private static final Set<String> PRACTICES = Set.of(
            "safety.ppe",
            "safety.station",
            "safety.ventilation",
            "safety.metal-tools",
            "safety.who",
            "safety.first-aid",
            "safety.damage",
            "receive.inspect",
            "receive.identify",
            "receive.storage-limit",
            "commission.fill",
            "commission.initial-charge",
            "commission.acid",
            "commission.break-in",
            "commission.conversion",
            "inspect.daily",
            "inspect.case",
            "inspect.terminals",
            "inspect.colour",
            "inspect.top-leak",
            "clean.top",
            "inspect.aircraft",
            "measure.voltage-rest",
            "measure.voltage-load",
            "measure.hydrometer",
            "measure.not-after-water",
            "measure.temperature",
            "measure.soc",
            "measure.full-window",
            "judge.even",
            "judge.spread",
            "judge.trend",
            "judge.short",
            "judge.sulfated",
            "judge.diluted",
            "judge.dry",
            "judge.stratified",
            "judge.whole-pack",
            "charge.before",
            "charge.match",
            "charge.end",
            "charge.cool",
            "charge.gas",
            "equalise.when",
            "equalise.how",
            "water.how",
            "water.how-often",
            "acid.adjust",
            "charge.conventional",
            "charge.opportunity",
            "charge.after-every-use",
            "charge.stop",
            "charge.low-voltage-lockout",
            "charge.automatic-is-not-maintaining",
            "equalise.sulfated",
            "water.when",
            "water.what",
            "change.choose",
            "change.truck",
            "change.hoist",
            "change.roller",
            "change.connect",
            "change.pool-size",
            "pack.map",
            "pack.order",
            "pack.rows",
            "pack.taps",
            "pack.polarity",
            "pack.after",
            "cell.find",
            "cell.prepare",
            "cell.swap",
            "cell.after",
            "cell.jumper",
            "recover.parallel",
            "recover.groups",
            "test.run-time",
            "test.capacity",
            "test.load",
            "store.before",
            "store.while",
            "store.freeze",
            "recover.outcome",
            "spill.response",
            "spill.prevention",
            "retire",
            "life",
            "money",
            "history");

    private static List<Matcher> lines() throws IOException {
        return Files.readAllLines(TABLE).stream()
                .map(LINE::matcher)
                .filter(Matcher::matches)
                .toList();
    }

    static Stream<Arguments> references() throws IOException {
        return lines().stream()
                .flatMap(m -> Arrays.stream(m.group(2).split(", ")).map(where -> Arguments.of(m.group(1), where)));
    }

    @Test
    void everyPracticeHasALine() throws IOException {
        assertThat(lines()).extracting(m -> m.group(1)).containsExactlyInAnyOrderElementsOf(PRACTICES);
    }

    @ParameterizedTest
    @MethodSource("references")
    void everyReferenceLeadsSomewhere(String practice, String where) throws IOException {
        String[] parts = where.split(" ", 2);
        switch (parts[0]) {
            case "procedure" ->
                assertThat(new ProcedureShelf().find(parts[1]).orElseThrow().practices())
                        .contains(practice);
            case "gate" -> assertThat(GateKey.valueOf(parts[1]).practice()).isEqualTo(practice);
            case "rule" ->
                assertThat(RuleKey.find(parts[1]).orElseThrow().practice()).isEqualTo(practice);
            case "question" -> assertThat(source("judge/question/" + parts[1])).exists();
            case "class" -> assertThat(source(parts[1].replace('.', '/'))).exists();
            case "page" ->
                assertThat(Access.ROUTES).extracting(Access.Route::pattern).contains(parts[1]);
            default -> throw new AssertionError("What is a " + parts[0] + "?");
        }
    }

    private static Path source(String name) {
        return Path.of("../core/src/main/java/org/ostendum/core/" + name + ".java");
    }
}
