package org.ostendum.app.complaint;

import static org.ostendum.app.db.jooq.Tables.COMPLAINT_LOOK_WEIGHT;
import static org.ostendum.app.db.jooq.Tables.COMPLAINT_WEIGHT;

import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.jooq.DSLContext;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.Look.Outcome;
import org.ostendum.core.complaint.WorkUpTable;
import org.springframework.stereotype.Repository;

/** What a site has counted itself, with its reasons: causes behind complaints, and what looks show with them. */
@Repository
class OwnWeights {
    private final DSLContext sql;

    OwnWeights(DSLContext sql) {
        this.sql = sql;
    }

    /** The shipped table with what this site has counted. */
    WorkUpTable table() {
        Map<Complaint, Map<Cause, Double>> priors = new EnumMap<>(Complaint.class);
        sql.selectFrom(COMPLAINT_WEIGHT).forEach(r -> priors.computeIfAbsent(
                        Complaint.valueOf(r.getComplaint()), any -> new EnumMap<>(Cause.class))
                .put(Cause.valueOf(r.getCause()), r.getPart()));
        Map<Look, Map<Cause, Map<Outcome, Double>>> shows = new EnumMap<>(Look.class);
        sql.selectFrom(COMPLAINT_LOOK_WEIGHT)
                .forEach(r -> shows.computeIfAbsent(Look.valueOf(r.getLook()), any -> new EnumMap<>(Cause.class))
                        .computeIfAbsent(Cause.valueOf(r.getCause()), any -> new EnumMap<>(Outcome.class))
                        .put(Outcome.valueOf(r.getShown()), r.getPart()));
        return WorkUpTable.standard().withPriors(priors).withShows(shows);
    }

    void count(Complaint complaint, Cause cause, double part, String reason, long by, Instant now) {
        sql.insertInto(COMPLAINT_WEIGHT)
                .set(COMPLAINT_WEIGHT.COMPLAINT, complaint.name())
                .set(COMPLAINT_WEIGHT.CAUSE, cause.name())
                .set(COMPLAINT_WEIGHT.PART, part)
                .set(COMPLAINT_WEIGHT.REASON, reason)
                .set(COMPLAINT_WEIGHT.SAID_AT, now)
                .set(COMPLAINT_WEIGHT.SAID_BY, by)
                .onDuplicateKeyUpdate()
                .set(COMPLAINT_WEIGHT.PART, part)
                .set(COMPLAINT_WEIGHT.REASON, reason)
                .set(COMPLAINT_WEIGHT.SAID_AT, now)
                .set(COMPLAINT_WEIGHT.SAID_BY, by)
                .execute();
    }

    /** @param parts of all it can show, one for each, summing to 1 */
    void show(Look look, Cause cause, Map<Outcome, Double> parts, String reason, long by, Instant now) {
        sql.batch(parts.entrySet().stream()
                        .map(entry -> sql.insertInto(COMPLAINT_LOOK_WEIGHT)
                                .set(COMPLAINT_LOOK_WEIGHT.LOOK, look.name())
                                .set(COMPLAINT_LOOK_WEIGHT.CAUSE, cause.name())
                                .set(COMPLAINT_LOOK_WEIGHT.SHOWN, entry.getKey().name())
                                .set(COMPLAINT_LOOK_WEIGHT.PART, entry.getValue())
                                .set(COMPLAINT_LOOK_WEIGHT.REASON, reason)
                                .set(COMPLAINT_LOOK_WEIGHT.SAID_AT, now)
                                .set(COMPLAINT_LOOK_WEIGHT.SAID_BY, by)
                                .onDuplicateKeyUpdate()
                                .set(COMPLAINT_LOOK_WEIGHT.PART, entry.getValue())
                                .set(COMPLAINT_LOOK_WEIGHT.REASON, reason)
                                .set(COMPLAINT_LOOK_WEIGHT.SAID_AT, now)
                                .set(COMPLAINT_LOOK_WEIGHT.SAID_BY, by))
                        .toList())
                .execute();
    }

    /** @return why a site counts otherwise, by cause */
    Map<Cause, String> reasons(Complaint complaint) {
        return reasons(sql.select(COMPLAINT_WEIGHT.CAUSE, COMPLAINT_WEIGHT.REASON)
                .from(COMPLAINT_WEIGHT)
                .where(COMPLAINT_WEIGHT.COMPLAINT.eq(complaint.name()))
                .fetchMap(COMPLAINT_WEIGHT.CAUSE, COMPLAINT_WEIGHT.REASON));
    }

    Map<Cause, String> reasons(Look look) {
        return reasons(sql.selectDistinct(COMPLAINT_LOOK_WEIGHT.CAUSE, COMPLAINT_LOOK_WEIGHT.REASON)
                .from(COMPLAINT_LOOK_WEIGHT)
                .where(COMPLAINT_LOOK_WEIGHT.LOOK.eq(look.name()))
                .fetchMap(COMPLAINT_LOOK_WEIGHT.CAUSE, COMPLAINT_LOOK_WEIGHT.REASON));
    }

    private static Map<Cause, String> reasons(Map<String, String> byCause) {
        Map<Cause, String> reasons = new EnumMap<>(Cause.class);
        byCause.forEach((cause, reason) -> reasons.put(Cause.valueOf(cause), Objects.requireNonNull(reason)));
        return reasons;
    }
}
