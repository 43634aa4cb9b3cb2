package org.ostendum.app.battery;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.springframework.stereotype.Component;

/** What a line of a ledger followed from: the job it was written in, the line it corrects, the line that came before it in the matter. */
@Component
class LineOrigins {
    private static final int LOOKED_BACK = 1_000;
    /** What such a line goes on from: an end from its beginning, a repair from the round that called for it. */
    private static final Map<EntryKind, EntryKind> FROM = Map.ofEntries(
            Map.entry(EntryKind.CHARGE_START, EntryKind.DISCHARGE),
            Map.entry(EntryKind.CHARGE_END, EntryKind.CHARGE_START),
            Map.entry(EntryKind.TEMPERATURE_MAX, EntryKind.CHARGE_START),
            Map.entry(EntryKind.EQUALISE_END, EntryKind.CHARGE_START),
            Map.entry(EntryKind.DISCHARGE, EntryKind.CHARGE_END),
            Map.entry(EntryKind.WATER, EntryKind.CHARGE_END),
            Map.entry(EntryKind.DREW_OFF, EntryKind.WATER),
            Map.entry(EntryKind.ROUND, EntryKind.ROUND),
            Map.entry(EntryKind.VOLTAGE, EntryKind.ROUND),
            Map.entry(EntryKind.CELL_REPLACED, EntryKind.ROUND),
            Map.entry(EntryKind.CELL_BRIDGED, EntryKind.ROUND),
            Map.entry(EntryKind.ACID_ADJUSTED, EntryKind.ROUND),
            Map.entry(EntryKind.HELD, EntryKind.ROUND),
            Map.entry(EntryKind.RETIRED, EntryKind.ROUND),
            Map.entry(EntryKind.RELEASED, EntryKind.HELD),
            Map.entry(EntryKind.DEFECT_RIGHTED, EntryKind.DEFECT),
            Map.entry(EntryKind.KIT_LOOKED_AT, EntryKind.KIT_FITTED),
            Map.entry(EntryKind.KIT_TAKEN_OFF, EntryKind.KIT_FITTED));

    private final Ledger ledger;

    LineOrigins(Ledger ledger) {
        this.ledger = ledger;
    }

    /** Where a line leads back to, in words, and its address. */
    public record Origin(String told, String at) {}

    List<Origin> of(LedgerEntry line, Words words) {
        List<Origin> origins = new ArrayList<>();
        @Nullable Long job = line.told(LedgerPayload.OfJob.class).job();
        if (job != null) {
            String title = Objects.requireNonNullElse(
                    line.told(LedgerPayload.JobDone.class).title(), "");
            origins.add(new Origin(words.text("line.from.job", title), "/jobs/" + job));
        }
        add(origins, "line.from.corrected", line, line.correctsSeq(), words);
        add(origins, "line.from.corrects", line, line.correctedBySeq(), words);
        @Nullable EntryKind from = FROM.get(line.kind());
        if (from != null) {
            before(line, from).ifPresent(earlier -> origins.add(origin("line.from", earlier, words)));
        }
        return origins;
    }

    private void add(List<Origin> origins, String key, LedgerEntry line, @Nullable Integer seq, Words words) {
        if (seq != null) {
            ledger.line(line.batteryId(), seq).ifPresent(other -> origins.add(origin(key, other, words)));
        }
    }

    private static Origin origin(String key, LedgerEntry line, Words words) {
        return new Origin(
                words.text(key, line.seq(), words.name(line.kind()), words.moment(line.happenedAt())),
                "/batteries/" + line.batteryCode() + "/ledger/" + line.seq());
    }

    /** The nearest line of a kind that happened before it; what was written down late counts by when it happened. */
    private Optional<LedgerEntry> before(LedgerEntry line, EntryKind kind) {
        return ledger.ofBattery(line.batteryId(), null, LOOKED_BACK).stream()
                .filter(other -> other.kind() == kind && other.seq() != line.seq() && other.correctedBySeq() == null)
                .filter(other -> other.happenedAt().isBefore(line.happenedAt()))
                .max(Comparator.comparing(LedgerEntry::happenedAt));
    }
}
