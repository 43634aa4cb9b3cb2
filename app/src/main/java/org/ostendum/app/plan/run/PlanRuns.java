package org.ostendum.app.plan.run;

import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.PLAN_MARK;
import static org.ostendum.app.db.jooq.Tables.PLAN_RUN;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.plan.run.PlanRun.State;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Plans that are searched, proposed, in force and past, with what has been done of them. */
@Repository
public class PlanRuns {
    private final DSLContext sql;
    private final StoredPlan stored;

    PlanRuns(DSLContext sql, StoredPlan stored) {
        this.sql = sql;
        this.stored = stored;
    }

    /**
     * What was said of a job.
     *
     * @param done false for not possible
     */
    public record Mark(boolean done, String reason) {}

    /**
     * @param night the night it is for, of which there is one plan of its own; null for one that was asked for
     * @return its id; empty where that night has one
     */
    public Optional<Long> add(
            PlanProblem problem, String because, @Nullable Long by, @Nullable LocalDate night, Instant now) {
        return sql.insertInto(PLAN_RUN)
                .set(PLAN_RUN.MADE_AT, now)
                .set(PLAN_RUN.MADE_BY, by)
                .set(PLAN_RUN.NIGHT, night)
                .set(PLAN_RUN.BECAUSE, because)
                .set(PLAN_RUN.STATE, State.WAITING.name())
                .set(PLAN_RUN.SECONDS, (short) problem.seconds())
                .set(PLAN_RUN.FROM_AT, problem.from())
                .set(PLAN_RUN.UNTIL_AT, problem.until())
                .set(PLAN_RUN.PROBLEM, stored.write(problem))
                .set(PLAN_RUN.STOP_ASKED, false)
                .onDuplicateKeyIgnore()
                .returningResult(PLAN_RUN.ID)
                .fetchOptional(PLAN_RUN.ID);
    }

    public Optional<PlanRun> byId(long id) {
        return select(PLAN_RUN.ID.eq(id)).stream().findFirst();
    }

    /** @return the newest in one of the states */
    public Optional<PlanRun> newest(State... states) {
        return select(PLAN_RUN.STATE.in(Arrays.stream(states).map(State::name).toList())).stream()
                .findFirst();
    }

    private List<PlanRun> select(Condition which) {
        var taker = PERSON.as("taker");
        return sql.select(
                        PLAN_RUN.ID,
                        PLAN_RUN.MADE_AT,
                        PERSON.NAME,
                        PLAN_RUN.BECAUSE,
                        PLAN_RUN.STATE,
                        PLAN_RUN.SECONDS,
                        PLAN_RUN.FROM_AT,
                        PLAN_RUN.UNTIL_AT,
                        PLAN_RUN.BEST_UNMET,
                        PLAN_RUN.BEST_COST,
                        PLAN_RUN.STOP_ASKED,
                        PLAN_RUN.FAULT,
                        taker.NAME)
                .from(PLAN_RUN)
                .leftJoin(PERSON)
                .on(PERSON.ID.eq(PLAN_RUN.MADE_BY))
                .leftJoin(taker)
                .on(taker.ID.eq(PLAN_RUN.TAKEN_BY))
                .where(which)
                .orderBy(PLAN_RUN.ID.desc())
                .limit(1)
                .fetch(r -> new PlanRun(
                        r.value1(),
                        r.value2(),
                        r.value3(),
                        r.value4(),
                        State.valueOf(r.value5()),
                        r.value6(),
                        r.value7(),
                        r.value8(),
                        r.value9(),
                        r.value10(),
                        r.value11(),
                        r.value12(),
                        r.value13()));
    }

    public PlanProblem problem(long id) {
        return stored.problem(one(id, PLAN_RUN.PROBLEM));
    }

    /** @return empty before it was found */
    public Optional<Plan> plan(long id) {
        return Optional.ofNullable(one(id, PLAN_RUN.RESULT)).map(stored::plan);
    }

    private String one(long id, org.jooq.Field<String> field) {
        return sql.select(field).from(PLAN_RUN).where(PLAN_RUN.ID.eq(id)).fetchSingle(field);
    }

    /** @return whether it is to be searched: not where it was dropped meanwhile */
    public boolean begin(long id) {
        return sql.update(PLAN_RUN)
                        .set(PLAN_RUN.STATE, State.SEARCHING.name())
                        .where(PLAN_RUN.ID.eq(id))
                        .and(PLAN_RUN.STATE.in(State.WAITING.name(), State.SEARCHING.name()))
                        .execute()
                == 1;
    }

    public void best(long id, long unmet, double cost) {
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.BEST_UNMET, (int) unmet)
                .set(PLAN_RUN.BEST_COST, cost)
                .where(PLAN_RUN.ID.eq(id))
                .execute();
    }

    public boolean isStopAsked(long id) {
        return sql.fetchExists(sql.selectFrom(PLAN_RUN).where(PLAN_RUN.ID.eq(id).and(PLAN_RUN.STOP_ASKED)));
    }

    public void askToStop(long id) {
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.STOP_ASKED, true)
                .where(PLAN_RUN.ID.eq(id))
                .execute();
    }

    /** Proposes what was found. One proposal at a time: those before it are dropped. */
    @Transactional
    public void propose(long id, Plan plan, Instant now) {
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.STATE, State.DROPPED.name())
                .where(PLAN_RUN.STATE.eq(State.PROPOSED.name()))
                .execute();
        keep(id, plan);
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.STATE, State.PROPOSED.name())
                .set(PLAN_RUN.BEST_UNMET, (int) plan.shiftsUnmet())
                .set(PLAN_RUN.BEST_COST, plan.cost())
                .set(PLAN_RUN.ENDED_AT, now)
                .where(PLAN_RUN.ID.eq(id))
                .execute();
    }

    public void keep(long id, Plan plan) {
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.RESULT, stored.write(plan))
                .where(PLAN_RUN.ID.eq(id))
                .execute();
    }

    /** The problem it answers is another by now. */
    public void change(long id, PlanProblem problem) {
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.PROBLEM, stored.write(problem))
                .where(PLAN_RUN.ID.eq(id))
                .execute();
    }

    public void fail(long id, String fault, Instant now) {
        end(id, State.FAILED, now);
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.FAULT, fault)
                .where(PLAN_RUN.ID.eq(id))
                .execute();
    }

    public void drop(long id, Instant now) {
        end(id, State.DROPPED, now);
    }

    private void end(long id, State state, Instant now) {
        sql.update(PLAN_RUN)
                .set(PLAN_RUN.STATE, state.name())
                .set(PLAN_RUN.ENDED_AT, now)
                .where(PLAN_RUN.ID.eq(id))
                .and(PLAN_RUN.STATE.in(State.WAITING.name(), State.SEARCHING.name(), State.PROPOSED.name()))
                .execute();
    }

    /** @return whether it came into force: not where it is no proposal any more */
    @Transactional
    public boolean take(long id, long by, Instant now) {
        boolean taken = sql.update(PLAN_RUN)
                        .set(PLAN_RUN.STATE, State.IN_FORCE.name())
                        .set(PLAN_RUN.TAKEN_AT, now)
                        .set(PLAN_RUN.TAKEN_BY, by)
                        .where(PLAN_RUN.ID.eq(id).and(PLAN_RUN.STATE.eq(State.PROPOSED.name())))
                        .execute()
                == 1;
        if (taken) {
            sql.update(PLAN_RUN)
                    .set(PLAN_RUN.STATE, State.PAST.name())
                    .where(PLAN_RUN.ID.ne(id).and(PLAN_RUN.STATE.eq(State.IN_FORCE.name())))
                    .execute();
        }
        return taken;
    }

    /** @return what was said of each job, by its id */
    public Map<String, Mark> marks(long id) {
        return sql.selectFrom(PLAN_MARK)
                .where(PLAN_MARK.PLAN_RUN_ID.eq(id))
                .fetchMap(
                        PLAN_MARK.JOB,
                        (Record r) -> new Mark(r.get(PLAN_MARK.KIND).equals("DONE"), r.get(PLAN_MARK.REASON)));
    }

    /** The first thing said of a job holds. */
    public void mark(long id, String job, boolean done, String reason, long by, Instant now) {
        sql.insertInto(PLAN_MARK)
                .set(PLAN_MARK.PLAN_RUN_ID, id)
                .set(PLAN_MARK.JOB, job)
                .set(PLAN_MARK.KIND, done ? "DONE" : "NOT_POSSIBLE")
                .set(PLAN_MARK.REASON, reason)
                .set(PLAN_MARK.SAID_AT, now)
                .set(PLAN_MARK.SAID_BY, by)
                .onDuplicateKeyIgnore()
                .execute();
    }
}
