package org.ostendum.app.state;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import tools.jackson.databind.JsonNode;

/** Rounds as the lines of a battery's ledger tell them, with all that later lines have put right. */
final class RoundsTold {
    private final Map<Long, Told> byEntry = new HashMap<>();
    private final Map<Integer, Long> entryOfSeq = new HashMap<>();

    private RoundsTold() {}

    /** A round while its lines are gone through. */
    private static final class Told {
        private final Instant takenAt;
        private RoundState state;
        private @Nullable Celsius temperature;
        private final Map<Integer, CellReading> cells = new TreeMap<>();

        Told(LedgerEntry line, JsonNode payload) {
            takenAt = line.happenedAt();
            state = state(payload);
            temperature = temperature(payload);
            payload.path("cells").forEach(cell -> put(ReadingText.read(cell)));
        }

        void put(CellReading reading) {
            cells.put(reading.cell(), reading);
        }

        Round round() {
            return new Round(takenAt, state, temperature, List.copyOf(cells.values()));
        }
    }

    /**
     * @param lines of one battery, oldest first
     * @return its rounds that hold, by the ids of their lines
     */
    static Map<Long, Round> of(List<LedgerEntry> lines) {
        RoundsTold told = new RoundsTold();
        lines.forEach(told::take);
        Map<Long, Round> rounds = new HashMap<>();
        told.byEntry.forEach((entry, round) -> rounds.put(entry, round.round()));
        return rounds;
    }

    private void take(LedgerEntry line) {
        JsonNode payload = Payload.read(line.payload());
        if (line.kind() == EntryKind.ROUND) {
            byEntry.put(line.id(), new Told(line, payload));
            entryOfSeq.put(line.seq(), line.id());
        } else if (line.kind() == EntryKind.CORRECTION && entryOfSeq.containsKey(line.correctsSeq())) {
            correct(entryOfSeq.get(line.correctsSeq()), payload);
        } else if (payload.has("millivolts")) {
            roundOf(payload).ifPresent(round -> putVolts(round, payload.path("millivolts")));
        }
    }

    private void correct(@Nullable Long entry, JsonNode payload) {
        Told round = entry == null ? null : byEntry.get(entry);
        JsonNode is = payload.path("is");
        if (payload.has("takenBack")) {
            byEntry.remove(entry);
        } else if (round != null && is.has("state")) {
            round.state = state(is);
            round.temperature = temperature(is);
        } else if (round != null) {
            round.put(ReadingText.read(is));
        }
    }

    /** Lines of before this was kept told it of the newest round. */
    private Optional<Told> roundOf(JsonNode payload) {
        return payload.has("round")
                ? Optional.ofNullable(byEntry.get(payload.path("round").asLong()))
                : byEntry.values().stream().max(Comparator.comparing(told -> told.takenAt));
    }

    private static void putVolts(Told round, JsonNode millivolts) {
        millivolts.properties().forEach(cell -> {
            CellReading was = round.cells.get(Integer.parseInt(cell.getKey()));
            if (was != null) {
                round.put(Corrections.withVolts(was, new Volts(cell.getValue().asInt())));
            }
        });
    }

    private static RoundState state(JsonNode node) {
        return RoundState.valueOf(node.path("state").asString());
    }

    private static @Nullable Celsius temperature(JsonNode node) {
        return node.has("celsiusTenths")
                ? new Celsius(node.path("celsiusTenths").asInt())
                : null;
    }
}
