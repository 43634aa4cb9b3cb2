package org.ostendum.app.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.support.TestWords;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.safety.Dress;
import tools.jackson.core.JacksonException;

class ProcedureFilesTest {
    private static final String SOUND =
            """
            version: 1
            title: T
            purpose: P
            subject: BATTERY
            training: BATTERY_CARE
            practices: [inspect.case]
            references: [The manual]
            steps:
              - {id: a, do: A}
            """;

    static Collection<Procedure> procedures() throws IOException {
        return new ProcedureShelf().all();
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void aProcedureIsDressedForItsHazardsAndNamesWhatComesFirst(Procedure procedure) {
        assertThat(procedure.references()).isNotEmpty();
        assertThat(procedure.dress()).contains(Dress.NO_METAL);
        boolean opensCaps = procedure.gates().contains(GateKey.HAS_CAPS);
        if (opensCaps) {
            assertThat(procedure.dress()).contains(Dress.GOGGLES, Dress.ACID_GLOVES, Dress.APRON);
            assertThat(procedure.gates()).contains(GateKey.STATION_READY, GateKey.UNDAMAGED);
        }
        assertThat(TestWords.metric().text("procedure." + procedure.id())).isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void theFormAJobKeepsReadsBackToTheSameProcedure(Procedure procedure) throws IOException {
        ProcedureFile file = new ProcedureShelf().file(procedure.id()).orElseThrow();
        assertThat(ProcedureFile.ofJson(file.json()).procedure(procedure.id())).isEqualTo(procedure);
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void everyWayThroughComesToItsEnd(Procedure procedure) {
        Set<String> reached = new HashSet<>();
        walk(procedure, 0, reached);
        assertThat(reached).hasSameSizeAs(procedure.steps());
    }

    private static void walk(Procedure procedure, int at, Set<String> reached) {
        if (at >= procedure.steps().size()) {
            return;
        }
        Step step = procedure.steps().get(at);
        if (!reached.add(step.id())) {
            return;
        }
        walk(procedure, at + 1, reached);
        if (step.task() instanceof Task.Choose choose) {
            choose.answers().stream()
                    .filter(a -> a.goTo() != null)
                    .forEach(a -> walk(
                            procedure,
                            procedure.steps().indexOf(procedure.step(a.goTo()).orElseThrow()),
                            reached));
        }
    }

    @Test
    void everyPictureIsDrawnAndNamed() throws IOException {
        String drawings = Files.readString(Path.of("src/main/resources/templates/procedures/pictures.html"));
        Set<String> drawn = new HashSet<>();
        Pattern.compile("th:fragment=\"([a-z-]+)\"").matcher(drawings).results().forEach(m -> drawn.add(m.group(1)));
        assertThat(drawn).isEqualTo(Pictures.names());
    }

    @Test
    void aSoundFileIsRead() {
        assertThat(ProcedureFile.ofYaml(SOUND).procedure("t").steps()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "colour: red",
                "steps: none",
                "training: COOKING",
                "gates: [NO_SUCH]",
                "dress: [HAT]",
            })
    void aFileWithAnUnknownWordIsRefused(String line) {
        String key = line.split(":", 2)[0];
        String changed = SOUND.replaceAll("(?ms)^" + key + ":.*?(?=^\\w|\\z)", "") + line + "\n";
        assertThatThrownBy(() -> ProcedureFile.ofYaml(changed)).isInstanceOf(JacksonException.class);
    }

    private static int place(String procedure, String step) throws IOException {
        return new ProcedureShelf()
                .find(procedure).orElseThrow().steps().stream()
                        .map(Step::id)
                        .toList()
                        .indexOf(step);
    }

    /** From a large spill everybody goes: nobody is sent to a switch first. */
    @Test
    void howLargeASpillIsComesBeforeAnythingIsSwitched() throws IOException {
        assertThat(place("spill", "size")).isBetween(0, place("spill", "clear") - 1);
    }

    /** The bus voltage of an aircraft says nothing while its battery is off. */
    @Test
    void theRegulatorIsReadWithTheBatteryOn() throws IOException {
        // What was conditioned is tested, and signed for last.
        assertThat(place("condition-aircraft", "off")).isLessThan(place("condition-aircraft", "rest"));
        assertThat(place("condition-aircraft", "rest")).isLessThan(place("condition-aircraft", "sign"));
        assertThat(place("inspect-aircraft", "reconnect")).isBetween(1, place("inspect-aircraft", "regulator") - 1);
    }
}
