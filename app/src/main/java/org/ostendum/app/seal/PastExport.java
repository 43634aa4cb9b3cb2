package org.ostendum.app.seal;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.ledger.WrittenLine;
import org.ostendum.app.seal.SealFiles.Kept;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** Every line of every battery with the seals, one JSON object to a line of text: what {@link Verify} needs and no more. */
@Component
class PastExport {
    private final Batteries batteries;
    private final Ledger ledger;
    private final Optional<Seals> seals;

    PastExport(Batteries batteries, Ledger ledger, SealOfTheDay seals) {
        this.batteries = batteries;
        this.ledger = ledger;
        this.seals = seals.seals();
    }

    void writeTo(OutputStream out) throws IOException {
        if (seals.isPresent()) {
            write(seals.get(), out);
        }
        for (Battery battery : batteries.ever()) {
            for (WrittenLine line : ledger.written(battery.id())) {
                say(out, line(battery, line));
            }
        }
    }

    private static void write(Seals seals, OutputStream out) throws IOException {
        say(out, Payload.object().put("key", seals.openKey()));
        for (Kept kept : seals.all()) {
            say(
                    out,
                    Payload.object()
                            .put("day", kept.day())
                            .put("seal", kept.seal().map(Seal::text).orElse("")));
        }
    }

    private static ObjectNode line(Battery battery, WrittenLine line) {
        NewEntry entry = line.entry();
        ObjectNode node = Payload.object()
                .put("battery", battery.code())
                .put("batteryId", line.batteryId())
                .put("seq", line.seq())
                .put("kind", entry.kind().name())
                .put("happenedAt", entry.happenedAt().toString())
                .put("recordedAt", line.recordedAt().toString())
                .put("personId", entry.personId());
        if (entry.cell() != null) {
            node.put("cell", entry.cell());
        }
        if (entry.quantity() != null) {
            node.put("quantity", entry.quantity().toPlainString());
        }
        if (entry.correctsId() != null) {
            node.put("correctsId", entry.correctsId());
        }
        return node.put("payload", entry.payload())
                .put("previous", line.previous())
                .put("hash", line.hash());
    }

    private static void say(OutputStream out, ObjectNode node) throws IOException {
        out.write((node + "\n").getBytes(StandardCharsets.UTF_8));
    }
}
