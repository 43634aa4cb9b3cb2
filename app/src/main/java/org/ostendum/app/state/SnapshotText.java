package org.ostendum.app.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.db.RecordJson;
import org.ostendum.app.ledger.VerdictText;
import org.ostendum.core.state.FindingLife;
import org.ostendum.core.state.Findings;
import org.ostendum.core.state.Snapshot;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.fact.Facts;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A snapshot as JSON, to be read back to an equal one. Facts are records all through; only their components are written. */
public final class SnapshotText {
    private static final JsonMapper JSON = RecordJson.builder().build();

    private SnapshotText() {}

    public static String write(Snapshot snapshot) {
        ObjectNode node = Payload.object();
        node.set("facts", JSON.valueToTree(snapshot.facts()));
        ArrayNode findings = node.putArray("findings");
        snapshot.findings().all().forEach(f -> findings.add(standing(f)));
        if (snapshot.latest() != null) {
            node.set("latest", VerdictText.write(snapshot.latest()));
        }
        node.put("course", CourseText.write(snapshot.course()));
        if (snapshot.upTo() != null) {
            node.put("upTo", snapshot.upTo().toString());
        }
        return node.toString();
    }

    public static Snapshot read(String text) {
        JsonNode node = JSON.readTree(text);
        List<StandingFinding> findings = new ArrayList<>();
        node.path("findings").forEach(f -> findings.add(readStanding(f)));
        return new Snapshot(
                JSON.treeToValue(node.path("facts"), Facts.class),
                new Findings(findings),
                node.has("latest") ? VerdictText.read(node.path("latest")) : null,
                CourseText.read(node.path("course").asString()),
                instant(node, "upTo"));
    }

    private static ObjectNode standing(StandingFinding standing) {
        ObjectNode node = Payload.object();
        node.set("finding", VerdictText.finding(standing.finding()));
        node.put("life", standing.life().name());
        node.put("since", standing.since().toString());
        node.put("seen", standing.seen().toString());
        node.put("moved", standing.moved().toString());
        node.put("by", standing.by());
        node.put("clear", standing.clear());
        return node;
    }

    private static StandingFinding readStanding(JsonNode node) {
        return new StandingFinding(
                VerdictText.readFinding(node.path("finding")),
                FindingLife.valueOf(node.path("life").asString()),
                Instant.parse(node.path("since").asString()),
                Instant.parse(node.path("seen").asString()),
                Instant.parse(node.path("moved").asString()),
                node.path("by").asString(),
                node.path("clear").asInt());
    }

    private static @Nullable Instant instant(JsonNode node, String name) {
        return node.has(name) ? Instant.parse(node.path(name).asString()) : null;
    }
}
