package org.ostendum.app.people;

import static org.jooq.impl.DSL.max;
import static org.ostendum.app.db.jooq.Tables.TRAINING;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Repository;

/** Who was trained in what, and when. */
@Repository
public class Trainings {
    private final DSLContext sql;
    private final Clock clock;

    Trainings(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    public Trained of(long personId) {
        return all().getOrDefault(personId, Trained.NOTHING);
    }

    /** @return what each person was trained in, by the person's id */
    public Map<Long, Trained> all() {
        Map<Long, Trained> all = new HashMap<>();
        sql.select(TRAINING.PERSON_ID, TRAINING.KIND, max(TRAINING.HELD_ON))
                .from(TRAINING)
                .groupBy(TRAINING.PERSON_ID, TRAINING.KIND)
                .forEach(r -> all.merge(
                        r.value1(),
                        Trained.NOTHING.with(Training.valueOf(r.value2()), r.value3()),
                        (a, b) -> a.with(Training.valueOf(r.value2()), r.value3())));
        return all;
    }

    /** Writes a training down; the same one twice is written once. */
    public void hold(long personId, Training training, LocalDate heldOn, long recordedBy) {
        sql.insertInto(TRAINING)
                .set(TRAINING.PERSON_ID, personId)
                .set(TRAINING.KIND, training.name())
                .set(TRAINING.HELD_ON, heldOn)
                .set(TRAINING.RECORDED_AT, clock.instant())
                .set(TRAINING.RECORDED_BY, recordedBy)
                .onDuplicateKeyIgnore()
                .execute();
    }
}
