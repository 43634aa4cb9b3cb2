package org.ostendum.app.state;

import static org.ostendum.app.db.jooq.Tables.CAPACITY_TEST;
import static org.ostendum.app.db.jooq.Tables.COMPLAINT;
import static org.ostendum.app.db.jooq.Tables.JOB;
import static org.ostendum.app.db.jooq.Tables.MACHINE;
import static org.ostendum.app.db.jooq.Tables.TAP;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * What open jobs, discharge tests and complaints say of batteries: those that lie open, in pieces or under load, those that are being fetched
 * for a machine, those that somebody complains of, and those that feed something through a tap.
 */
@Repository
class InHand {
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

    /** How a discharge test is called, as jobs are by their titles. */
    private static final String TEST = "Capacity test";

    /** @return by the battery's id */
    Map<Long, Taken> now() {
        Map<Long, Taken> taken = new HashMap<>();
        sql.select(JOB.BATTERY_ID, JOB.HOLDS_AS, MACHINE.CODE)
                .from(JOB)
                .leftJoin(MACHINE)
                .on(MACHINE.ID.eq(JOB.MACHINE_ID))
                .where(JOB.OPEN_KEY.isNotNull())
                .and(JOB.BATTERY_ID.isNotNull())
                .orderBy(JOB.ID)
                .forEach(job ->
                        taken.merge(job.value1(), new Taken(job.value2(), job.value3(), null, null), Taken::and));
        sql.select(CAPACITY_TEST.OPEN_BATTERY_ID)
                .from(CAPACITY_TEST)
                .where(CAPACITY_TEST.OPEN_BATTERY_ID.isNotNull())
                .forEach(test -> taken.merge(test.value1(), new Taken(TEST, null, null, null), Taken::and));
        sql.select(COMPLAINT.BATTERY_ID, COMPLAINT.SAID_AT)
                .from(COMPLAINT)
                .where(COMPLAINT.ENDED_AT.isNull())
                .orderBy(COMPLAINT.ID.desc())
                .forEach(said -> taken.merge(said.value1(), new Taken(null, null, said.value2(), null), Taken::and));
        sql.select(TAP.BATTERY_ID, DSL.min(TAP.SINCE))
                .from(TAP)
                .groupBy(TAP.BATTERY_ID)
                .forEach(tap -> taken.merge(tap.value1(), new Taken(null, null, null, tap.value2()), Taken::and));
        return taken;
    }
}
