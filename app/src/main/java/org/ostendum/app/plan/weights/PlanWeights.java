package org.ostendum.app.plan.weights;

import static org.ostendum.app.db.jooq.Tables.PLAN_WEIGHT;

import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.ostendum.core.plan.Term;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What a lead lets each part of a plan's cost weigh, where it is not the usual. */
@Repository
public class PlanWeights {
    private final DSLContext sql;

    PlanWeights(DSLContext sql) {
        this.sql = sql;
    }

    /** @return those that differ from the usual */
    public Map<Term, Double> all() {
        Map<Term, Double> weights = new EnumMap<>(Term.class);
        sql.selectFrom(PLAN_WEIGHT)
                .forEach(r -> Term.find(r.getTerm()).ifPresent(term -> weights.put(term, r.getWeight())));
        return weights;
    }

    /** Keeps them in the place of those before. */
    @Transactional
    public void keep(Map<Term, Double> weights, long by, Instant now) {
        sql.deleteFrom(PLAN_WEIGHT).execute();
        weights.forEach((term, weight) -> {
            if (weight != term.usualWeight()) {
                sql.insertInto(PLAN_WEIGHT)
                        .set(PLAN_WEIGHT.TERM, term.word())
                        .set(PLAN_WEIGHT.WEIGHT, weight)
                        .set(PLAN_WEIGHT.SAID_AT, now)
                        .set(PLAN_WEIGHT.SAID_BY, by)
                        .execute();
            }
        });
    }
}
