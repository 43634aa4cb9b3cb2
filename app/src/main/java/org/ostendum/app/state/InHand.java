package org.ostendum.app.state;

import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.min;
import static org.ostendum.app.db.jooq.Tables.CAPACITY_TEST;
import static org.ostendum.app.db.jooq.Tables.COMPLAINT;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.TAP;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record6;
import org.jooq.SelectOrderByStep;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * What open jobs, discharge tests and complaints say of batteries: those that lie open, in pieces or under load, those that are being fetched
 * for a machine, those that somebody complains of, and those that feed something through a tap.
 */
@Repository
class InHand {
    /** How a discharge test is called, as jobs are by their titles. */
    private static final String TEST = "Capacity test";

    private static final Field<String> NO_JOB = inline(null, JOB.HOLDS_AS);
    private static final Field<String> NO_MACHINE = inline(null, MACHINE.CODE);
    private static final Field<Instant> NOT_COMPLAINED = inline(null, COMPLAINT.SAID_AT);
    private static final Field<Instant> NOT_TAPPED = inline(null, TAP.SINCE);

    private final DSLContext sql;

    InHand(DSLContext sql) {
        this.sql = sql;
    }

    /**
     * @param job title of one that has it in hand; null for none
     * @param machine code of one for which it is being fetched; null for none
     * @param complained since when a complaint about it is open; null for none
     * @param tapped since when the tap that has hung longest feeds from it; null for none
     */
    record Taken(
            @Nullable String job, @Nullable String machine, @Nullable Instant complained, @Nullable Instant tapped) {
        static final Taken NOT = new Taken(null, null, null, null);

        Taken and(Taken other) {
            return new Taken(
                    other.job == null ? job : other.job,
                    other.machine == null ? machine : other.machine,
                    other.complained == null ? complained : other.complained,
                    other.tapped == null ? tapped : other.tapped);
        }
    }

    /** @return by the battery's id */
    Map<Long, Taken> now() {
        Map<Long, Taken> taken = new HashMap<>();
        // It is asked for with every state: one question, not four.
        jobs().unionAll(tests())
                .unionAll(complaints())
                .unionAll(taps())
                .orderBy(1)
                .forEach(row -> taken.merge(
                        row.value2(), new Taken(row.value3(), row.value4(), row.value5(), row.value6()), Taken::and));
        return taken;
    }

    /** The first column is the order in which they are laid over one another: of several of a kind the last one counts. */
    private SelectOrderByStep<Record6<Long, Long, String, String, Instant, Instant>> jobs() {
        return sql.select(JOB.ID, JOB.BATTERY_ID, JOB.HOLDS_AS, MACHINE.CODE, NOT_COMPLAINED, NOT_TAPPED)
                .from(JOB)
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(JOB.MACHINE_ID))
                .where(JOB.OPEN_KEY.isNotNull())
                .and(JOB.BATTERY_ID.isNotNull());
    }

    private SelectOrderByStep<Record6<Long, Long, String, String, Instant, Instant>> tests() {
        Field<Long> afterJobs = inline(Long.MAX_VALUE);
        return sql.select(
                        afterJobs, CAPACITY_TEST.OPEN_BATTERY_ID, inline(TEST), NO_MACHINE, NOT_COMPLAINED, NOT_TAPPED)
                .from(CAPACITY_TEST)
                .where(CAPACITY_TEST.OPEN_BATTERY_ID.isNotNull());
    }

    private SelectOrderByStep<Record6<Long, Long, String, String, Instant, Instant>> complaints() {
        Field<Long> oldestLast = COMPLAINT.ID.neg();
        return sql.select(oldestLast, COMPLAINT.BATTERY_ID, NO_JOB, NO_MACHINE, COMPLAINT.SAID_AT, NOT_TAPPED)
                .from(COMPLAINT)
                .where(COMPLAINT.ENDED_AT.isNull());
    }

    private SelectOrderByStep<Record6<Long, Long, String, String, Instant, Instant>> taps() {
        return sql.select(min(TAP.ID), TAP.BATTERY_ID, NO_JOB, NO_MACHINE, NOT_COMPLAINED, min(TAP.SINCE))
                .from(TAP)
                .groupBy(TAP.BATTERY_ID);
    }
}
