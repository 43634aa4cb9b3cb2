package org.ostendum.app.procedure;

import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.PROCEDURE_ADDITION;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.procedure.GateKey;
import org.springframework.stereotype.Repository;

/** The site's own steps, cautions and references. Taken out, they stay on record. */
@Repository
public class ProcedureAdditions {
    private final DSLContext sql;
    private final Clock clock;

    ProcedureAdditions(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** @return those in force, in the order they were added */
    public List<ProcedureAddition> inForce(String procedureId) {
        return fetch(PROCEDURE_ADDITION.PROCEDURE_ID.eq(procedureId).and(PROCEDURE_ADDITION.ENDED_AT.isNull()));
    }

    /** @return all those in force, by their procedure's id */
    public Map<String, List<ProcedureAddition>> inForce() {
        return fetch(PROCEDURE_ADDITION.ENDED_AT.isNull()).stream()
                .collect(Collectors.groupingBy(ProcedureAddition::procedureId));
    }

    public List<ProcedureAddition> ever(String procedureId) {
        return fetch(PROCEDURE_ADDITION.PROCEDURE_ID.eq(procedureId));
    }

    private List<ProcedureAddition> fetch(Condition condition) {
        return sql.select(PROCEDURE_ADDITION.fields())
                .select(PERSON.NAME)
                .from(PROCEDURE_ADDITION)
                .join(PERSON)
                .on(PERSON.ID.eq(PROCEDURE_ADDITION.ADDED_BY))
                .where(condition)
                .orderBy(PROCEDURE_ADDITION.ID)
                .fetch(r -> new ProcedureAddition(
                        r.get(PROCEDURE_ADDITION.ID),
                        r.get(PROCEDURE_ADDITION.PROCEDURE_ID),
                        ProcedureAddition.Kind.valueOf(r.get(PROCEDURE_ADDITION.KIND)),
                        r.get(PROCEDURE_ADDITION.AFTER_STEP),
                        r.get(PROCEDURE_ADDITION.TEXT),
                        range(r),
                        r.get(PROCEDURE_ADDITION.GATE) == null ? null : GateKey.valueOf(r.get(PROCEDURE_ADDITION.GATE)),
                        r.get(PROCEDURE_ADDITION.REASON),
                        r.get(PROCEDURE_ADDITION.ADDED_AT),
                        r.get(PERSON.NAME),
                        r.get(PROCEDURE_ADDITION.ENDED_AT)));
    }

    private static ProcedureAddition.@Nullable Range range(Record r) {
        return r.get(PROCEDURE_ADDITION.UNIT) == null
                ? null
                : new ProcedureAddition.Range(
                        r.get(PROCEDURE_ADDITION.UNIT),
                        r.get(PROCEDURE_ADDITION.LEAST),
                        r.get(PROCEDURE_ADDITION.MOST));
    }

    /**
     * What is to be added.
     *
     * @param range of a measurement, else null
     * @param gate of a gate, else null
     */
    public record NewAddition(
            String procedureId,
            ProcedureAddition.Kind kind,
            @Nullable String afterStep,
            String text,
            ProcedureAddition.@Nullable Range range,
            @Nullable GateKey gate,
            String reason) {}

    public void add(NewAddition added, long personId) {
        ProcedureAddition.Range range = added.range();
        sql.insertInto(PROCEDURE_ADDITION)
                .set(PROCEDURE_ADDITION.PROCEDURE_ID, added.procedureId())
                .set(PROCEDURE_ADDITION.KIND, added.kind().name())
                .set(PROCEDURE_ADDITION.AFTER_STEP, added.afterStep())
                .set(PROCEDURE_ADDITION.TEXT, added.text())
                .set(PROCEDURE_ADDITION.UNIT, range == null ? null : range.unit())
                .set(PROCEDURE_ADDITION.LEAST, range == null ? null : range.least())
                .set(PROCEDURE_ADDITION.MOST, range == null ? null : range.most())
                .set(
                        PROCEDURE_ADDITION.GATE,
                        added.gate() == null ? null : added.gate().name())
                .set(PROCEDURE_ADDITION.REASON, added.reason())
                .set(PROCEDURE_ADDITION.ADDED_AT, clock.instant())
                .set(PROCEDURE_ADDITION.ADDED_BY, personId)
                .execute();
    }

    public void end(long id, long personId) {
        sql.update(PROCEDURE_ADDITION)
                .set(PROCEDURE_ADDITION.ENDED_AT, clock.instant())
                .set(PROCEDURE_ADDITION.ENDED_BY, personId)
                .where(PROCEDURE_ADDITION.ID.eq(id).and(PROCEDURE_ADDITION.ENDED_AT.isNull()))
                .execute();
    }
}
