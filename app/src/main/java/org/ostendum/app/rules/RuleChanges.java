package org.ostendum.app.rules;

import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.ostendum.app.db.jooq.Tables.BATTERY_MODEL;
import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.RULE_CHANGE;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.rulebook.RuleChange;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.springframework.stereotype.Repository;

/** The site's settings of the Rulebook: every change is kept, the last one of each rule and scope is in force. */
@Repository
public class RuleChanges {
    private final DSLContext sql;
    private final Clock clock;
    private volatile Rulebook latest = new Rulebook(-1, List.of());

    RuleChanges(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** The Rulebook as it stands. Read anew only when somebody has changed a rule. */
    public Rulebook now() {
        long revision = sql.select(coalesce(max(RULE_CHANGE.ID), 0L))
                .from(RULE_CHANGE)
                .fetchSingle()
                .value1();
        Rulebook known = latest;
        if (known.revision() != revision) {
            known = new Rulebook(revision, history());
            latest = known;
        }
        return known;
    }

    /** @return every change, oldest first */
    public List<RuleChange> history() {
        return sql
                .select(RULE_CHANGE.fields())
                .select(BATTERY_MODEL.CODE, PERSON.NAME)
                .from(RULE_CHANGE)
                .join(PERSON)
                .on(PERSON.ID.eq(RULE_CHANGE.PERSON_ID))
                .leftJoin(BATTERY_MODEL)
                .on(BATTERY_MODEL.ID.eq(RULE_CHANGE.MODEL_ID))
                .orderBy(RULE_CHANGE.ID)
                .stream()
                .flatMap(r -> RuleKey.find(r.get(RULE_CHANGE.RULE_KEY)).stream()
                        .map(rule -> new RuleChange(
                                rule,
                                r.get(RULE_CHANGE.MODEL_ID),
                                r.get(BATTERY_MODEL.CODE),
                                r.get(RULE_CHANGE.VALUE),
                                r.get(RULE_CHANGE.REASON),
                                r.get(PERSON.NAME),
                                r.get(RULE_CHANGE.CHANGED_AT))))
                .toList();
    }

    public void set(RuleKey rule, @Nullable Long modelId, @Nullable BigDecimal value, String reason, long personId) {
        sql.insertInto(RULE_CHANGE)
                .set(RULE_CHANGE.RULE_KEY, rule.key())
                .set(RULE_CHANGE.MODEL_ID, modelId)
                .set(RULE_CHANGE.VALUE, value)
                .set(RULE_CHANGE.REASON, reason)
                .set(RULE_CHANGE.PERSON_ID, personId)
                .set(RULE_CHANGE.CHANGED_AT, clock.instant())
                .execute();
    }
}
