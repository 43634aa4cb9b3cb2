package org.ostendum.app.procedure;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.StopCondition;
import org.ostendum.core.procedure.StopLimit;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Dress;
import org.ostendum.core.safety.Hazard;
import org.ostendum.core.safety.Training;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** A procedure as it is written down; its members are told in {@code docs/procedures.md}. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record ProcedureFile(
        int version,
        String title,
        String purpose,
        Procedure.Subject subject,
        @Nullable List<Duty> duties,
        @Nullable Integer rank,
        Training training,
        @Nullable List<Dress> dress,
        @Nullable List<Hazard> hazards,
        @Nullable List<GateKey> gates,
        List<String> practices,
        Procedure.@Nullable Records records,
        @Nullable Boolean report,
        @Nullable Boolean lookOver,
        @Nullable Boolean holds,
        List<String> references,
        List<StepText> steps,
        @Nullable List<StopText> stops) {

    private static final YAMLMapper YAML = YAMLMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();
    /** Jobs under way keep words that later procedures may not know any more. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(EnumFeature.READ_UNKNOWN_ENUM_VALUES_AS_NULL)
            .build();

    /** @return the same procedure without the steps that ask what is known already */
    public ProcedureFile without(Predicate<GateKey> known) {
        return with(
                orNone(gates),
                references,
                steps.stream()
                        .filter(step -> step.answers() == null || !known.test(step.answers()))
                        .toList());
    }

    /**
     * A number to be read off.
     *
     * @param stopAbove the limit itself, or null
     * @param stopLimit the limit that the Rulebook holds, or null
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record MeasureText(
            String unit,
            double least,
            double most,
            @Nullable Double stopAbove,
            @Nullable StopLimit stopLimit,
            @Nullable String stop) {

        /** Until a job is begun nothing is known of its battery, and the standard limit stands for the site's. */
        Task task() {
            MeasureText limited = stopAbove == null ? under(Rules.standard(), null) : this;
            return new Task.Measure(unit, least, most, limited.stopAbove(), stop);
        }

        MeasureText under(Rules rules, @Nullable Duty duty) {
            return stopLimit == null
                    ? this
                    : new MeasureText(
                            unit, least, most, rules.value(stopLimit.rule(duty)).doubleValue(), stopLimit, stop);
        }
    }

    /** An answer to choose. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AnswerText(
            String id, String text, @Nullable String goTo, @Nullable String stop, @Nullable DefectKind defect) {
        Task.Answer answer() {
            return new Task.Answer(id, text, goTo, stop, defect);
        }
    }

    /** A stop condition. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record StopText(
            String id, String text, List<String> then, @Nullable String procedure, @Nullable DefectKind defect) {}

    static ProcedureFile ofYaml(String yaml) {
        return YAML.readValue(yaml, ProcedureFile.class);
    }

    /** The form in which a job keeps the procedure it runs by. */
    public static ProcedureFile ofJson(String json) {
        return JSON.readValue(json, ProcedureFile.class);
    }

    public String json() {
        return JSON.writeValueAsString(this);
    }

    /** @param id name of the file it was read from */
    public Procedure procedure(String id) {
        return new Procedure(
                id,
                version,
                title,
                purpose,
                new Procedure.Scope(subject, set(duties, Duty.class)),
                new Procedure.Precautions(training, set(dress, Dress.class), set(hazards, Hazard.class), orNone(gates)),
                steps.stream().map(StepText::step).toList(),
                orNone(stops).stream()
                        .map(s -> new StopCondition(s.id(), s.text(), s.then(), s.procedure(), s.defect()))
                        .toList(),
                new Procedure.Conduct(
                        records == null || Objects.isNull(records.happening()) ? null : records,
                        Boolean.TRUE.equals(report),
                        Boolean.TRUE.equals(lookOver),
                        Boolean.TRUE.equals(holds)),
                new Procedure.Sources(practices, references));
    }

    /** The form in which a job runs it: every limit as the rules hold it for its battery. */
    public ProcedureFile under(Rules rules, @Nullable Duty duty) {
        return with(
                orNone(gates),
                references,
                steps.stream().map(s -> s.under(rules, duty)).toList());
    }

    ProcedureFile with(List<GateKey> otherGates, List<String> otherReferences, List<StepText> otherSteps) {
        return new ProcedureFile(
                version,
                title,
                purpose,
                subject,
                duties,
                rank,
                training,
                dress,
                hazards,
                otherGates,
                practices,
                records,
                report,
                lookOver,
                holds,
                otherReferences,
                otherSteps,
                stops);
    }

    /** The same with more steps behind one of its own. */
    public ProcedureFile withAfter(String stepId, List<StepText> more) {
        List<StepText> all = new ArrayList<>();
        for (StepText step : steps) {
            all.add(step);
            if (step.id().equals(stepId)) {
                all.addAll(more);
            }
        }
        return with(orNone(gates), references, all);
    }

    /** The same with something to be written down before anything else. */
    public ProcedureFile askingFirst(String stepId, String question) {
        List<StepText> all = new ArrayList<>(List.of(StepText.written(stepId, question)));
        all.addAll(steps);
        return with(orNone(gates), references, all);
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }

    private static <E extends Enum<E>> Set<E> set(@Nullable List<E> list, Class<E> kind) {
        return list == null || list.isEmpty() ? EnumSet.noneOf(kind) : EnumSet.copyOf(list);
    }
}
