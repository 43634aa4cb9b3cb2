package org.ostendum.web.judgement;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Judge;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.EventLog;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.measure.Reliability;
import org.ostendum.core.measure.Round;
import org.ostendum.core.next.BatteryNow;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.ClosedRound;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.Rounds;
import org.ostendum.web.store.RuleChanges;
import org.ostendum.web.store.Rulebook;
import org.ostendum.web.store.States;
import org.springframework.stereotype.Service;

/** Lays batteries before the judge and keeps what he holds of them. */
@Service
public class Bench {
    /** Rounds the judge is shown: his longest window twice over, as partial and in-service rounds lie between. */
    private static final int ROUNDS_SHOWN = 60;

    private static final Duration SEASON = Duration.ofDays(90);

    private final Rounds rounds;
    private final Ledger ledger;
    private final RuleChanges ruleChanges;
    private final States states;
    private final Clock clock;
    private final ZoneId zone;

    public Bench(Rounds rounds, Ledger ledger, RuleChanges ruleChanges, States states, Clock clock, ZoneId zone) {
        this.rounds = rounds;
        this.ledger = ledger;
        this.ruleChanges = ruleChanges;
        this.states = states;
        this.clock = clock;
        this.zone = zone;
    }

    /** A round not on record yet, laid before the judge with all that went before it. */
    public Case caseOf(Battery battery, Round round) {
        Rules rules = ruleChanges.now().rulesFor(battery.type().id());
        List<PastRound> past = new ArrayList<>(rounds.history(battery.id(), ROUNDS_SHOWN).stream()
                .map(ClosedRound::past)
                .filter(p -> p.round().takenAt().isBefore(round.takenAt()))
                .toList());
        Happenings before = ledger.happenings(battery.id(), round.takenAt());
        PastRound latest = new PastRound(round, Reliability.doubts(round, before, rules));
        return new Case(battery.type().model(), rules, zone, latest, past, events(battery, past));
    }

    /** Judges the battery's newest round anew and keeps the result as its present state. */
    public BatteryState refresh(Battery battery) {
        return refresh(battery, ruleChanges.now());
    }

    private BatteryState refresh(Battery battery, Rulebook book) {
        List<ClosedRound> history = rounds.history(battery.id(), ROUNDS_SHOWN);
        @Nullable ClosedRound newest = history.isEmpty() ? null : history.get(history.size() - 1);
        @Nullable Case laid = newest == null ? null : caseOf(battery, newest, history, book);
        BatteryState state = new BatteryState(
                battery.id(),
                newest == null ? null : newest.id(),
                newest == null ? null : newest.past().round().takenAt(),
                laid == null ? neverRead() : Judge.judge(laid),
                laid == null ? BatteryCourse.NONE : BatteryCourse.of(laid),
                clock.instant(),
                book.revision(),
                ledger.happenings(battery.id(), clock.instant()),
                ledger.last(battery.id(), EntryKind.WASH).orElse(null));
        states.keep(state);
        return state;
    }

    private Case caseOf(Battery battery, ClosedRound newest, List<ClosedRound> history, Rulebook book) {
        Rules rules = book.rulesFor(battery.type().id());
        Round round = newest.past().round();
        Happenings before = ledger.happenings(battery.id(), round.takenAt());
        PastRound latest = new PastRound(round, Reliability.doubts(round, before, rules));
        List<PastRound> past = history.subList(0, history.size() - 1).stream()
                .map(ClosedRound::past)
                .toList();
        return new Case(battery.type().model(), rules, zone, latest, past, events(battery, past));
    }

    /** As far back as the rounds shown, and a season before them. */
    private EventLog events(Battery battery, List<PastRound> past) {
        Instant first = past.isEmpty() ? clock.instant() : past.get(0).round().takenAt();
        return ledger.events(battery.id(), first.minus(SEASON));
    }

    private static Verdict neverRead() {
        return new Verdict(Severity.FIT, Message.of("verdict.never-read"), List.of(), Map.of());
    }

    /** The present state of each battery, judged anew where the Rulebook has changed since. By the battery's id. */
    public Map<Long, BatteryState> statesOf(Collection<Battery> batteries) {
        return statesOf(batteries, ruleChanges.now());
    }

    /** The same by a Rulebook already at hand. */
    public Map<Long, BatteryState> statesOf(Collection<Battery> batteries, Rulebook book) {
        Map<Long, BatteryState> known =
                states.of(batteries.stream().map(Battery::id).toList());
        for (Battery battery : batteries) {
            BatteryState state = known.get(battery.id());
            if (state == null || state.rulesRevision() != book.revision()) {
                known.put(battery.id(), refresh(battery, book));
            }
        }
        return known;
    }

    public BatteryState stateOf(Battery battery) {
        return statesOf(List.of(battery)).values().iterator().next();
    }

    /** What the next jobs of a battery are worked out from. */
    public BatteryNow now(Battery battery, BatteryState state, Rulebook book) {
        return new BatteryNow(
                battery.code(),
                battery.type().model().duty(),
                battery.type().model().kind().hasCaps(),
                battery.type().model().cells(),
                book.rulesFor(battery.type().id()),
                state.roundTakenAt(),
                state.verdict().findings(),
                state.happenings(),
                state.washedAt());
    }

    public Rulebook rulebook() {
        return ruleChanges.now();
    }

    /** @return the rules for one battery, or the site's where there is none */
    public Rules rulesFor(@Nullable Battery battery) {
        Rulebook book = ruleChanges.now();
        return battery == null ? book.siteRules() : book.rulesFor(battery.type().id());
    }

    /** The moment at which things are worked out. */
    public Instant instant() {
        return clock.instant();
    }
}
