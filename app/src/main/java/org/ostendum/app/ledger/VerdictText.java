package org.ostendum.app.ledger;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.db.RecordJson;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.RuleUse;
import org.ostendum.core.rulebook.Severity;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A verdict as JSON, with every figure and every rule's value as they were, to be read back to an equal verdict. */
public final class VerdictText {
    private static final JsonMapper RECORDS = RecordJson.builder()
            .changeDefaultPropertyInclusion(kept -> kept.withValueInclusion(JsonInclude.Include.NON_NULL))
            .addMixIn(Evidence.class, ByName.class)
            .build();

    private VerdictText() {}

    /** Which of them it is, by the name of its record. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME, property = "of")
    private interface ByName {}

    public static ObjectNode write(Verdict verdict) {
        ObjectNode node = Payload.object();
        node.put("severity", verdict.severity().name());
        node.set("sentence", message(verdict.sentence()));
        ArrayNode findings = node.putArray("findings");
        verdict.findings().forEach(f -> findings.add(finding(f)));
        ObjectNode open = node.putObject("notJudged");
        verdict.notJudged().forEach((question, missing) -> open.put(question, missing.name()));
        return node;
    }

    public static Verdict read(JsonNode node) {
        List<Finding> findings = new ArrayList<>();
        node.path("findings").forEach(f -> findings.add(readFinding(f)));
        Map<String, Missing> notJudged = new LinkedHashMap<>();
        node.path("notJudged")
                .properties()
                .forEach(e ->
                        notJudged.put(e.getKey(), Missing.valueOf(e.getValue().asString())));
        return new Verdict(
                Severity.valueOf(node.path("severity").asString()),
                readMessage(node.path("sentence")),
                findings,
                notJudged);
    }

    public static ObjectNode finding(Finding finding) {
        ObjectNode node = Payload.object();
        node.put("code", finding.code().name());
        node.set("cells", argument(finding.cells()).path("cells"));
        node.put("severity", finding.severity().name());
        node.set("sentence", message(finding.sentence()));
        node.set("why", message(finding.why()));
        ObjectNode rules = node.putObject("rules");
        finding.rules().forEach(use -> rules.put(use.key().name(), use.value()));
        node.set("evidence", RECORDS.valueToTree(finding.evidence()));
        node.put("next", finding.next().name());
        if (finding.forecast() != null) {
            node.set("forecast", forecast(finding.forecast()));
        }
        node.put("confidence", finding.confidence());
        return node;
    }

    public static Finding readFinding(JsonNode node) {
        List<RuleUse> rules = new ArrayList<>();
        node.path("rules").properties().forEach(e -> rule(e.getKey())
                .ifPresent(key -> rules.add(new RuleUse(key, e.getValue().decimalValue()))));
        return new Finding(
                FindingCode.valueOf(node.path("code").asString()),
                readCells(node.path("cells")),
                Severity.valueOf(node.path("severity").asString()),
                readMessage(node.path("sentence")),
                readMessage(node.path("why")),
                rules,
                RECORDS.treeToValue(node.path("evidence"), Evidence.class),
                NextStep.valueOf(node.path("next").asString()),
                node.has("forecast") ? readForecast(node.path("forecast")) : null,
                node.path("confidence").asDouble());
    }

    /** Verdicts of the past name rules that the Rulebook no longer has. */
    private static Optional<RuleKey> rule(String name) {
        return Arrays.stream(RuleKey.values())
                .filter(key -> key.name().equals(name))
                .findFirst();
    }

    private static ObjectNode forecast(Forecast forecast) {
        ObjectNode node = Payload.object();
        node.put("crosses", forecast.crosses().toString());
        node.put("early", forecast.early().toString());
        if (forecast.late() != null) {
            node.put("late", forecast.late().toString());
        }
        return node;
    }

    private static Forecast readForecast(JsonNode node) {
        @Nullable
        LocalDate late = node.has("late") ? LocalDate.parse(node.path("late").asString()) : null;
        return new Forecast(
                LocalDate.parse(node.path("crosses").asString()),
                LocalDate.parse(node.path("early").asString()),
                late);
    }

    public static ObjectNode message(Message message) {
        ObjectNode node = Payload.object();
        node.put("key", message.key());
        if (!message.arguments().isEmpty()) {
            ArrayNode arguments = node.putArray("with");
            message.arguments().forEach(a -> arguments.add(argument(a)));
        }
        return node;
    }

    public static Message readMessage(JsonNode node) {
        List<Object> arguments = new ArrayList<>();
        node.path("with").forEach(a -> arguments.add(readArgument(a)));
        return new Message(node.path("key").asString(), arguments);
    }

    private static ObjectNode argument(Object value) {
        ObjectNode node = Payload.object();
        if (value instanceof SpecificGravity gravity) {
            return node.put("read", gravity.points());
        } else if (value instanceof CorrectedGravity gravity) {
            return node.put("gravity", gravity.tenths());
        } else if (value instanceof GravityDifference difference) {
            return node.put("difference", difference.tenths());
        } else if (value instanceof Celsius celsius) {
            return node.put("celsius", celsius.tenths());
        } else if (value instanceof Volts volts) {
            return node.put("millivolts", volts.millivolts());
        } else if (value instanceof Integer number) {
            return node.put("number", number);
        } else if (value instanceof BigDecimal decimal) {
            return node.put("decimal", decimal.toPlainString());
        } else if (value instanceof LocalDate date) {
            return node.put("date", date.toString());
        } else if (value instanceof Instant instant) {
            return node.put("instant", instant.toString());
        } else if (value instanceof String text) {
            return node.put("text", text);
        } else if (value instanceof Cells cells) {
            ArrayNode numbers = node.putArray("cells");
            cells.numbers().forEach(numbers::add);
            return node;
        } else if (value instanceof Message message) {
            node.set("message", message(message));
            return node;
        }
        throw new IllegalArgumentException("No form for " + value.getClass());
    }

    private static Object readArgument(JsonNode node) {
        Map.Entry<String, JsonNode> only = node.properties().iterator().next();
        JsonNode value = only.getValue();
        return switch (only.getKey()) {
            case "read" -> SpecificGravity.ofPoints(value.asInt());
            case "gravity" -> new CorrectedGravity(value.asInt());
            case "difference" -> new GravityDifference(value.asInt());
            case "celsius" -> new Celsius(value.asInt());
            case "millivolts" -> new Volts(value.asInt());
            case "number" -> value.asInt();
            case "decimal" -> new BigDecimal(value.asString());
            case "date" -> LocalDate.parse(value.asString());
            case "instant" -> Instant.parse(value.asString());
            case "text" -> value.asString();
            case "cells" -> readCells(value);
            case "message" -> readMessage(value);
            default -> throw new IllegalArgumentException("No quantity is called " + only.getKey());
        };
    }

    private static Cells readCells(JsonNode node) {
        List<Integer> numbers = new ArrayList<>();
        node.forEach(n -> numbers.add(n.asInt()));
        return new Cells(numbers);
    }
}
