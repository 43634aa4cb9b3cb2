package org.ostendum.app.wiring;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.event.EntryKind;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What was done to the cables of a pack, as its ledger tells it: how they came off, which were renewed, what that cost. */
@Component
class CableHistory {
    private static final int LOOKED_BACK = 2_000;

    private final Ledger ledger;

    CableHistory(Ledger ledger) {
        this.ledger = ledger;
    }

    /**
     * A time at which the pack was apart or put together.
     *
     * @param told of single cables, such as "3: rotted"; empty where all were sound
     * @param cost of new ones; null where none is known
     */
    public record Work(Instant at, String title, List<Said> told, @Nullable Double cost, String by) {}

    /** What was found of one cable, in a word: rotted, new. */
    public record Said(String cable, String found) {}

    /** @return the newest first */
    List<Work> of(Battery battery) {
        return ledger.ofBattery(battery.id(), null, LOOKED_BACK).stream()
                .filter(entry -> entry.kind() == EntryKind.JOB)
                .map(entry -> new Told(entry, Payload.read(entry.payload())))
                .filter(told ->
                        PackSteps.isOfPack(told.payload().path("procedure").asString("")))
                .map(CableHistory::work)
                .toList();
    }

    private record Told(LedgerEntry entry, JsonNode payload) {}

    private static Work work(Told line) {
        List<Said> told = new ArrayList<>();
        for (JsonNode step : line.payload().path("steps")) {
            @Nullable String cable = PackSteps.cable(step.path("id").asString(""));
            String said = PackSteps.told(step.path("value").asString(""));
            if (cable != null && !said.isEmpty()) {
                told.add(new Said(cable, said));
            }
        }
        return new Work(
                line.entry().happenedAt(),
                line.payload().path("title").asString(""),
                told,
                line.payload().has("cost") ? line.payload().path("cost").asDouble() : null,
                line.entry().person());
    }
}
