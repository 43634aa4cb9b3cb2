package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.procedure.Procedure.Happening;
import org.ostendum.core.procedure.Procedure.Records;
import org.ostendum.core.procedure.Task.Answer;
import org.ostendum.core.safety.Training;

/** A file of a procedure that cannot be run is found when the application starts, and what is wrong is named. */
class ProcedureFaultsTest {
    private static final StopCondition HOT =
            new StopCondition("hot", "It is hot.", List.of("Charger off."), null, null);

    private static Step step(String id, Task task) {
        return new Step(id, "Do " + id, null, null, task, false, true, null, null, null, null);
    }

    private static Procedure procedure(
            int version,
            String title,
            List<Step> steps,
            List<String> practices,
            @Nullable Records records,
            List<String> references) {
        return new Procedure(
                "p",
                version,
                title,
                "Purpose",
                new Procedure.Scope(Procedure.Subject.BATTERY, Set.of()),
                new Procedure.Precautions(Training.BATTERY_CARE, Set.of(), Set.of(), List.of()),
                steps,
                List.of(HOT),
                new Procedure.Conduct(records, false, false, false),
                new Procedure.Sources(practices, references));
    }

    private static Procedure of(Step... steps) {
        return procedure(1, "Title", List.of(steps), List.of("x.y"), null, List.of("The maker’s manual"));
    }

    private static Task answers(Answer... answers) {
        return new Task.Choose(List.of(answers));
    }

    private static Answer to(@Nullable String step, @Nullable String stop) {
        return new Answer("a" + step, "A", step, stop, null);
    }

    private static final Step LAST = step("last", new Task.Act());

    static Stream<Arguments> faulty() {
        Step measure = step("m", new Task.Measure("°C", 0, 80, 46.0, "hot"));
        return Stream.of(
                Arguments.of(procedure(0, "T", List.of(LAST), List.of("x"), null, List.of("r")), "version is 0"),
                Arguments.of(procedure(1, " ", List.of(LAST), List.of("x"), null, List.of("r")), "title is empty"),
                Arguments.of(procedure(1, "T", List.of(), List.of("x"), null, List.of("r")), "no steps"),
                Arguments.of(procedure(1, "T", List.of(LAST), List.of(), null, List.of("r")), "no practice"),
                Arguments.of(procedure(1, "T", List.of(LAST), List.of("x"), null, List.of()), "no reference"),
                Arguments.of(of(LAST, LAST), "step last stands there twice"),
                Arguments.of(
                        of(new Step("s", " ", null, null, new Task.Act(), false, true, null, null, null, null)),
                        "step s has no text"),
                Arguments.of(
                        procedure(
                                1,
                                "T",
                                List.of(LAST),
                                List.of("x"),
                                new Records(Happening.WATER, "last", null),
                                List.of("r")),
                        "comes from last, which measures nothing"),
                Arguments.of(of(step("c", answers(to(null, null))), LAST), "fewer than two answers"),
                Arguments.of(
                        of(LAST, step("c", answers(to("last", null), to(null, null)))),
                        "leads to last, which is not further on"),
                Arguments.of(of(step("c", answers(to("c", null), to(null, null)))), "not further on"),
                Arguments.of(of(step("c", answers(to(null, "wet"), to(null, null))), LAST), "unknown stop wet"),
                Arguments.of(of(step("m", new Task.Measure("°C", 80, 80, null, null))), "least is not below most"),
                Arguments.of(
                        of(step("m", new Task.Measure("°C", 0, 80, 46.0, null))), "stopAbove and stop go together"),
                Arguments.of(of(step("m", new Task.Measure("°C", 0, 80, null, "hot"))), "go together"),
                Arguments.of(of(step("m", new Task.Measure("°C", 0, 80, 46.0, "wet"))), "unknown stop wet"),
                Arguments.of(of(step("w", new Task.Wait(Duration.ZERO))), "waits no time"),
                Arguments.of(of(step("w", new Task.Wait(Duration.ofHours(-1)))), "waits no time"),
                Arguments.of(of(measure, measure), "stands there twice"));
    }

    @ParameterizedTest
    @MethodSource("faulty")
    void whatCannotBeRunIsNamed(Procedure procedure, String fault) {
        assertThat(ProcedureFaults.of(procedure)).hasSize(1).first().asString().contains("p: ", fault);
    }

    @Test
    void aSoundProcedureHasNoFaults() {
        Procedure sound = procedure(
                1,
                "Title",
                List.of(
                        step("m", new Task.Measure("l", 0, 80, 46.0, "hot")),
                        step("c", answers(to("last", null), to(null, "hot"))),
                        step("w", new Task.Wait(Duration.ofMinutes(1))),
                        LAST),
                List.of("x.y"),
                new Records(Happening.WATER, "m", null),
                List.of("The maker’s manual"));
        assertThat(ProcedureFaults.of(sound)).isEmpty();
        assertThat(sound.isFor(Duty.AIRCRAFT)).isTrue();
    }

    @Test
    void gatesAreOfTheRoomOfAMachineOrOfTheBattery() {
        assertThat(Arrays.stream(GateKey.values()).filter(GateKey::isOfRoom))
                .containsExactly(GateKey.STATION_READY, GateKey.FAN_ON, GateKey.CHANGER_READY);
        assertThat(Arrays.stream(GateKey.values()).filter(GateKey::isOfMachine))
                .containsExactly(GateKey.RIGHT_VOLTAGE, GateKey.RIGHT_WEIGHT, GateKey.RIGHT_SIZE, GateKey.MACHINE_FREE);
        assertThat(Arrays.stream(GateKey.values()).filter(g -> !g.mayBeOverridden()))
                .as("what no argument opens")
                .containsExactly(
                        GateKey.TRAINED,
                        GateKey.NOT_RETIRED,
                        GateKey.HAS_CAPS,
                        GateKey.COMMISSIONED,
                        GateKey.NOT_FROZEN,
                        GateKey.AIRED,
                        GateKey.KIT_OFF,
                        GateKey.SIGNED,
                        GateKey.RIGHT_VOLTAGE,
                        GateKey.MACHINE_FREE,
                        GateKey.CHARGER_FITS);
        assertThat(GateKey.values()).allMatch(g -> g.practice().matches("[a-z]+(\\.[a-z-]+)?"));
    }
}
