package org.ostendum.core.state;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.RoundTaken;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Judge;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.Round;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.Sheet;

/**
 * Folds a battery's events into its state, one after the other in the order of time. The only place where events are looked at
 * to conclude anything; the same events always give the same state.
 */
public final class BatteryFold {
    /** Rounds the judge is shown beside the newest: what lies further back says little of today. */
    public static final int ROUNDS_SHOWN = 60;

    /** So long before the first of those rounds the judge looks at what happened. */
    public static final Duration LOOKED_BACK = Duration.ofDays(90);

    private final Sheet sheet;
    private final ZoneId zone;
    private final List<BatteryEvent> log;
    private final List<PastRound> rounds;
    private Facts facts;
    private Findings findings;
    private @Nullable Verdict latest;
    private BatteryCourse course;
    private @Nullable Instant upTo;

    private BatteryFold(
            Sheet sheet, ZoneId zone, Snapshot from, Collection<PastRound> rounds, Collection<BatteryEvent> log) {
        this.sheet = sheet;
        this.zone = zone;
        this.rounds = new ArrayList<>(rounds);
        this.log = new ArrayList<>(log);
        this.facts = from.facts();
        this.findings = from.findings();
        this.latest = from.latest();
        this.course = from.course();
        this.upTo = from.upTo();
    }

    /** @param zone in which dates are named */
    public static BatteryFold begin(Sheet sheet, ZoneId zone) {
        return new BatteryFold(sheet, zone, Snapshot.NOTHING, List.of(), List.of());
    }

    /**
     * Goes on from where an earlier fold stood.
     *
     * @param rounds already folded, oldest first, at least the newest {@link #ROUNDS_SHOWN}
     * @param log events already folded, in the order of time, at least as far back as the judge looks
     */
    public static BatteryFold resume(
            Sheet sheet, ZoneId zone, Snapshot from, Collection<PastRound> rounds, Collection<BatteryEvent> log) {
        return new BatteryFold(sheet, zone, from, rounds, log);
    }

    /** @param events in any order */
    public static BatteryFold of(Sheet sheet, ZoneId zone, Collection<? extends BatteryEvent> events) {
        BatteryFold fold = begin(sheet, zone);
        events.stream().sorted(Comparator.comparing(BatteryEvent::at)).forEach(fold::fold);
        return fold;
    }

    /**
     * @param event not before those already folded
     * @throws IllegalArgumentException for an event that happened before the last one: late events want a fold from the
     *     beginning
     */
    public BatteryFold fold(BatteryEvent event) {
        if (upTo != null && event.at().isBefore(upTo)) {
            throw new IllegalArgumentException(event.word() + " at " + event.at() + " comes after " + upTo);
        }
        upTo = event.at();
        if (event instanceof RoundTaken taken) {
            fold(taken);
        } else {
            log.add(event);
            facts = facts.after(event, sheet);
            findings = findings.after(event, facts, sheet);
        }
        return this;
    }

    private void fold(RoundTaken taken) {
        Round round = taken.round();
        if (isKnown(round)) {
            return;
        }
        PastRound past = RoundFold.resolve(round, facts, sheet);
        Case laid = laid(facts.cells().asTheyStand(past, sheet));
        Verdict verdict = Judge.judge(laid);
        findings = findings.after(past, verdict);
        latest = verdict;
        course = BatteryCourse.of(laid);
        facts = RoundFold.after(past, facts, sheet);
        findings = findings.byLevelsOf(taken, facts, sheet);
        rounds.add(past.settingAside(laid.setAside()));
    }

    /** A round sent twice is one round. */
    private boolean isKnown(Round round) {
        for (int i = rounds.size() - 1; i >= 0; i--) {
            Instant at = rounds.get(i).round().takenAt();
            if (at.isBefore(round.takenAt())) {
                return false;
            } else if (at.equals(round.takenAt())) {
                return true;
            }
        }
        return false;
    }

    /** The round as it lies before the judge: with its doubts, and with what went before it. */
    private Case laid(PastRound past) {
        List<PastRound> shown = rounds.subList(Math.max(0, rounds.size() - ROUNDS_SHOWN), rounds.size());
        List<PastRound> ofTheseCells =
                shown.stream().map(p -> facts.cells().asTheyStand(p, sheet)).toList();
        Instant first =
                shown.isEmpty() ? past.round().takenAt() : shown.get(0).round().takenAt();
        return new Case(
                sheet.model(),
                sheet.rules(),
                zone,
                past,
                ofTheseCells,
                EventLog.over(logSince(first.minus(LOOKED_BACK))));
    }

    /** The same stretch is shown whether the fold began there or long before. */
    private List<BatteryEvent> logSince(Instant from) {
        int low = 0;
        int high = log.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (log.get(middle).at().isBefore(from)) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return log.subList(low, log.size());
    }

    /** @return a round, not folded, with the reasons to doubt it */
    public PastRound resolve(Round round) {
        return RoundFold.resolve(round, facts, sheet);
    }

    /** @return a round, not folded, as it would lie before the judge now */
    public Case caseOf(Round round) {
        return laid(facts.cells().asTheyStand(RoundFold.resolve(round, facts, sheet), sheet));
    }

    public Snapshot snapshot() {
        return new Snapshot(facts, findings, latest, course, upTo);
    }

    /** @return every round folded, with the reasons to doubt it, oldest first */
    public List<PastRound> rounds() {
        return List.copyOf(rounds);
    }

    public BatteryState at(Instant now, Surroundings around) {
        return new BatteryState(sheet, snapshot(), around, now);
    }
}
