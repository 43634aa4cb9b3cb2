package org.ostendum.app.past;

import static org.ostendum.app.db.jooq.Tables.LEDGER_ENTRY;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.LedgerText;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.history.Whereabouts.Move;
import org.springframework.stereotype.Repository;

/** The lines of the ledger that tell of moves. */
@Repository
class Moves {
    /** What a line says where a battery was in no place. */
    private static final String NOWHERE = "–";

    private final DSLContext sql;

    Moves(DSLContext sql) {
        this.sql = sql;
    }

    /** @return every move on record by the battery's id */
    Map<Long, List<Move>> all() {
        return fetch(DSL.noCondition());
    }

    /** @return the moves of some batteries by their ids */
    Map<Long, List<Move>> of(Collection<Long> batteryIds) {
        return fetch(LEDGER_ENTRY.BATTERY_ID.in(batteryIds));
    }

    /** @return batteries that were ever moved into a machine or out of it */
    Set<Long> touching(String machine) {
        Condition named =
                LEDGER_ENTRY.PAYLOAD.contains("\"" + machine + "\"").and(LEDGER_ENTRY.KIND.eq(EntryKind.MOVED.name()));
        return sql.selectDistinct(LEDGER_ENTRY.BATTERY_ID)
                .from(LEDGER_ENTRY)
                .where(named)
                .fetchSet(LEDGER_ENTRY.BATTERY_ID);
    }

    private Map<Long, List<Move>> fetch(Condition which) {
        Map<Long, List<Move>> byBattery = new HashMap<>();
        sql.select(LEDGER_ENTRY.BATTERY_ID, LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.PAYLOAD)
                .from(LEDGER_ENTRY)
                .where(which.and(LEDGER_ENTRY.KIND.eq(EntryKind.MOVED.name())))
                .orderBy(LEDGER_ENTRY.HAPPENED_AT, LEDGER_ENTRY.SEQ)
                .forEach(r -> {
                    LedgerPayload.Move moved = LedgerText.read(r.value3(), LedgerPayload.Move.class);
                    byBattery
                            .computeIfAbsent(r.value1(), b -> new ArrayList<>())
                            .add(new Move(r.value2(), known(moved.from()), to(moved, r.value3())));
                });
        return byBattery;
    }

    private static @Nullable String to(LedgerPayload.Move moved, String payload) {
        if (known(moved.to()) != null) {
            return moved.to();
        }
        LedgerPayload.Place place = LedgerText.read(payload, LedgerPayload.Place.class);
        return known(place.machine()) == null ? known(place.slot()) : place.machine();
    }

    private static @Nullable String known(@Nullable String place) {
        return place == null || place.isEmpty() || place.equals(NOWHERE) ? null : place;
    }
}
