package org.ostendum.app.battery;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.VerdictText;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import tools.jackson.databind.JsonNode;

/**
 * A line of the ledger in words.
 *
 * @param detail what was read, poured or changed; empty for nothing
 * @param verdict what the judge held then; null where nothing was judged
 * @param severity of that verdict
 * @param corrected whether a later line corrects this one
 */
public record LedgerLine(
        long id,
        int seq,
        String battery,
        String when,
        String what,
        String detail,
        @Nullable String verdict,
        @Nullable String severity,
        String who,
        boolean corrected) {
    /** Written down later than this, the line says when. */
    private static final Duration SOON = Duration.ofHours(12);

    public static LedgerLine of(LedgerEntry entry, Words words) {
        JsonNode payload = Payload.read(entry.payload());
        JsonNode verdict = payload.path("verdict");
        return new LedgerLine(
                entry.id(),
                entry.seq(),
                entry.batteryCode(),
                words.moment(entry.happenedAt()),
                words.name(entry.kind()),
                detail(entry, payload, words),
                verdict.isMissingNode()
                        ? null
                        : words.say(VerdictText.read(verdict).sentence()),
                verdict.isMissingNode() ? null : verdict.path("severity").asString(),
                entry.person(),
                entry.correctedBySeq() != null);
    }

    private static String detail(LedgerEntry entry, JsonNode payload, Words words) {
        List<String> parts = new ArrayList<>();
        String main = main(entry, payload, words);
        if (!main.isEmpty()) {
            parts.add(main);
        }
        for (JsonNode held : payload.path("held")) {
            parts.add(held.asString());
        }
        if (payload.has("title")) {
            parts.addAll(job(payload, words));
        }
        if (payload.has("cost")) {
            parts.add(words.money(payload.path("cost").asDouble()));
        }
        if (payload.has("remark")) {
            parts.add(words.phrase(payload.path("remark").asString()));
        }
        if (entry.correctsSeq() != null) {
            parts.add(words.text("line.corrects", entry.correctsSeq()));
        }
        if (entry.correctedBySeq() != null) {
            parts.add(words.text("line.corrected-by", entry.correctedBySeq()));
        }
        if (Duration.between(entry.happenedAt(), entry.recordedAt()).compareTo(SOON) > 0) {
            parts.add(words.text("line.late", entry.recordedAt()));
        }
        return String.join(" · ", parts);
    }

    private static String main(LedgerEntry entry, JsonNode payload, Words words) {
        return switch (entry.kind()) {
            case ROUND ->
                words.text(
                        "line.round",
                        payload.path("cells").size(),
                        words.name(Coverage.valueOf(payload.path("coverage").asString())),
                        words.name(RoundState.valueOf(payload.path("state").asString())));
            case CORRECTION -> correction(payload, words);
            case NOTE ->
                payload.has("discarded")
                        ? words.text("line.discarded", payload.path("discarded").asInt())
                        : "";
            case MOVED -> moved(payload, words);
            case WATER, DREW_OFF ->
                entry.quantity() == null ? "" : words.volume(entry.quantity().doubleValue());
            case CHARGE_END -> charge(entry, payload, words);
            case DISCHARGE -> amount("line.amp-hours", entry, words);
            case LEVEL ->
                words.text("line.correction.cell", entry.cell() == null ? 0 : entry.cell())
                        + ", "
                        + amount("line.millimetres", entry, words);
            case EQUALISE_END, STANDING_FLAT -> amount("line.hours", entry, words);
            case TEMPERATURE_MAX, TEMPERATURE ->
                entry.quantity() == null
                        ? ""
                        : words.temperature(Celsius.of(entry.quantity().doubleValue()));
            case CELL_REPLACED, CELL_MARKED -> marked(entry, payload, words);
            case CELL_BRIDGED ->
                words.text(
                        "line.bridged",
                        entry.cell() == null ? 0 : entry.cell(),
                        words.date(Instant.parse(payload.path("until").asString())));
            case BLOCKS_MOVED -> blocks(payload, words);
            case KIT_FITTED -> payload.path("injector").asString("");
            case VOLTAGE ->
                words.text(
                        "line.volts",
                        payload.path("read").asInt(),
                        words.text("VoltageRound.Load." + payload.path("load").asString()));
            case ACID_ADJUSTED -> entry.cell() == null ? "" : words.text("line.correction.cell", entry.cell());
            case ADDED,
                    CHARGE_START,
                    WASH,
                    KIT_LOOKED_AT,
                    KIT_TAKEN_OFF,
                    JOB,
                    CHARGER_CHECKED,
                    DEFECT,
                    DEFECT_RIGHTED,
                    HELD,
                    RELEASED,
                    COMMISSIONED,
                    STORED,
                    SIGNED,
                    RETIRED -> "";
            case CAPACITY ->
                words.text(
                        "line.capacity",
                        words.decimal(entry.quantity()),
                        Math.round(payload.path("part").asDouble() * 100));
        };
    }

    private static String marked(LedgerEntry entry, JsonNode payload, Words words) {
        if (entry.cell() == null) {
            return "";
        }
        String cell = words.text("line.correction.cell", entry.cell());
        return Stream.of(
                        cell,
                        payload.path("serial").asString(""),
                        payload.path("dateCode").asString(""))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** Only those that stand elsewhere now. */
    private static String blocks(JsonNode payload, Words words) {
        List<String> parts = new ArrayList<>();
        int place = 0;
        for (JsonNode from : payload.path("from")) {
            place++;
            if (from.asInt() != place) {
                parts.add(words.text("line.block-moved", from.asInt(), place));
            }
        }
        return String.join(", ", parts);
    }

    private static String correction(JsonNode payload, Words words) {
        String reason = payload.path("reason").asString();
        if (payload.has("takenBack")) {
            EntryKind kind = EntryKind.valueOf(payload.path("takenBack").asString());
            return words.text("line.taken-back.of", words.name(kind), reason);
        } else if (payload.path("is").has("state")) {
            return words.text(
                    "line.correction",
                    words.text("line.correction.round"),
                    state(payload.path("is"), words),
                    state(payload.path("was"), words),
                    reason);
        }
        return words.text(
                "line.correction",
                words.text(
                        "line.correction.cell", payload.path("is").path("cell").asInt()),
                cell(payload.path("is"), payload.path("was"), words),
                cell(payload.path("was"), payload.path("is"), words),
                reason);
    }

    /** What was read of a cell, of that which another reading of it has otherwise. */
    private static String cell(JsonNode reading, JsonNode other, Words words) {
        List<String> parts = new ArrayList<>();
        if (!reading.path("sg").equals(other.path("sg"))
                || !reading.path("tooLow").equals(other.path("tooLow"))) {
            parts.add(gravity(reading, words));
        }
        if (!reading.path("celsiusTenths").equals(other.path("celsiusTenths"))) {
            JsonNode tenths = reading.path("celsiusTenths");
            parts.add(tenths.isMissingNode() ? "–" : words.temperature(new Celsius(tenths.asInt())));
        }
        for (String seen : List.of("level", "colour")) {
            if (!reading.path(seen).equals(other.path(seen))) {
                parts.add(seen(seen, reading.path(seen).asString(""), words));
            }
        }
        return String.join(", ", parts);
    }

    private static String seen(String what, String name, Words words) {
        if (name.isEmpty()) {
            return "–";
        }
        return words.name(what.equals("level") ? Level.valueOf(name) : Colour.valueOf(name));
    }

    private static String state(JsonNode round, Words words) {
        String state = words.name(RoundState.valueOf(round.path("state").asString()));
        return round.has("celsiusTenths")
                ? state + ", "
                        + words.temperature(
                                new Celsius(round.path("celsiusTenths").asInt()))
                : state;
    }

    private static String moved(JsonNode payload, Words words) {
        return payload.has("to")
                ? words.text(
                        "line.moved",
                        payload.path("from").asString(),
                        payload.path("to").asString())
                : payload.path("machine").asString(payload.path("slot").asString(""));
    }

    /** How a charge ended, by what was said of it. */
    private static String charge(LedgerEntry entry, JsonNode payload, Words words) {
        List<String> parts = new ArrayList<>();
        String how = payload.path("how").asString("");
        parts.add(words.text("ending." + (how.isEmpty() ? "unstated" : how)));
        payload.path("evidence").forEach(sign -> parts.add(words.text("ending." + sign.asString())));
        String amount = amount("line.amp-hours", entry, words);
        if (!amount.isEmpty()) {
            parts.add(amount);
        }
        return String.join(", ", parts);
    }

    /** What a job leaves in the ledger besides its figure. */
    private static List<String> job(JsonNode payload, Words words) {
        List<String> parts = new ArrayList<>();
        parts.add(words.phrase(payload.path("title").asString()));
        if (payload.has("stopped")) {
            parts.add(words.text("line.stopped", payload.path("stopped").asString()));
        }
        for (JsonNode found : payload.path("found")) {
            parts.add(words.text("DefectKind." + found.asString()));
        }
        for (JsonNode gate : payload.path("overridden")) {
            parts.add(words.text(
                    "line.overridden",
                    words.text("GateKey." + gate.path("gate").asString()),
                    gate.path("reason").asString()));
        }
        return parts;
    }

    private static String amount(String key, LedgerEntry entry, Words words) {
        return entry.quantity() == null ? "" : words.text(key, entry.quantity());
    }

    private static String gravity(JsonNode reading, Words words) {
        return reading.has("sg")
                ? words.gravity(SpecificGravity.ofPoints(reading.path("sg").asInt()))
                : words.text("battery.toolow");
    }
}
