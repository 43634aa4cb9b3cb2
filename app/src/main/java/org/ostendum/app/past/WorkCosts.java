package org.ostendum.app.past;

import static org.jooq.impl.DSL.selectOne;
import static org.ostendum.app.db.jooq.Tables.LEDGER_ENTRY;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.jooq.tables.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.LedgerText;
import org.ostendum.core.event.EntryKind;
import org.springframework.stereotype.Repository;

/** What work at batteries has cost, as its lines in their ledgers tell it. */
@Repository
public class WorkCosts {
    /** Kinds of line under which a job with parts ends. */
    private static final Set<String> KINDS = Set.of(EntryKind.JOB.name(), EntryKind.CELL_REPLACED.name());

    private static final String COST = "\"cost\"";
    private static final LedgerEntry CORRECTING = LEDGER_ENTRY.as("correcting");

    private final DSLContext sql;

    WorkCosts(DSLContext sql) {
        this.sql = sql;
    }

    /**
     * A piece of work that cost something.
     *
     * @param cell that it was done at; null for none
     * @param amount in the money of the site
     */
    public record Cost(long battery, Instant at, @Nullable Integer cell, String title, double amount) {}

    /** @return without what was corrected away, the oldest first */
    public List<Cost> of(Collection<Long> batteries) {
        return sql
                .select(LEDGER_ENTRY.BATTERY_ID, LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.CELL, LEDGER_ENTRY.PAYLOAD)
                .from(LEDGER_ENTRY)
                .where(LEDGER_ENTRY.BATTERY_ID.in(batteries).and(LEDGER_ENTRY.KIND.in(KINDS)))
                .andNotExists(selectOne().from(CORRECTING).where(CORRECTING.CORRECTS_ID.eq(LEDGER_ENTRY.ID)))
                .orderBy(LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.ID)
                .fetch(WorkCosts::cost)
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<Cost> cost(Record r) {
        String payload = r.get(LEDGER_ENTRY.PAYLOAD);
        // Most work costs nothing: its line is not taken apart.
        if (!payload.contains(COST)) {
            return Optional.empty();
        }
        LedgerPayload.JobDone done = LedgerText.read(payload, LedgerPayload.JobDone.class);
        return done.cost() != null
                ? Optional.of(new Cost(
                        r.get(LEDGER_ENTRY.BATTERY_ID),
                        r.get(LEDGER_ENTRY.HAPPENED_AT),
                        r.get(LEDGER_ENTRY.CELL) == null
                                ? null
                                : (Integer) r.get(LEDGER_ENTRY.CELL).intValue(),
                        Objects.requireNonNullElse(done.title(), ""),
                        done.cost().doubleValue()))
                : Optional.empty();
    }
}
