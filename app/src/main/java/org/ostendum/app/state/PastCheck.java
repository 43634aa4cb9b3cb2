package org.ostendum.app.state;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.ChainCheck;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.Rulebook;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Finds a changed past: a broken chain of hashes, or rounds that are no longer what the lines of their ledger tell, be it their
 * readings, a later revision of one, their time, state or temperature, or what is held of them.
 */
@Service
public class PastCheck {
    private final Ledger ledger;
    private final Rounds rounds;
    private final Batteries batteries;
    private final BatteryFolds folds;
    private final BatteryStates batteryStates;

    PastCheck(Ledger ledger, Rounds rounds, Batteries batteries, BatteryFolds folds, BatteryStates batteryStates) {
        this.ledger = ledger;
        this.rounds = rounds;
        this.batteries = batteries;
        this.folds = folds;
        this.batteryStates = batteryStates;
    }

    /** Within a transaction, in which nothing that was read before is known again. */
    @Transactional
    public ChainCheck check(long batteryId) {
        ChainCheck chain = ledger.check(batteryId);
        if (!chain.isWhole()) {
            return chain;
        }
        List<LedgerEntry> lines = new ArrayList<>(ledger.ofBattery(batteryId, null, Integer.MAX_VALUE));
        Collections.reverse(lines);
        return changedRound(batteryId, lines)
                .map(entry -> new ChainCheck(chain.lines(), null, seq(lines, entry)))
                .orElse(chain);
    }

    private static int seq(List<LedgerEntry> lines, long entry) {
        return lines.stream()
                .filter(line -> line.id() == entry)
                .findFirst()
                .map(LedgerEntry::seq)
                .orElse(0);
    }

    /** @return the line of the first round that is not what is told of it, also of one that no line tells */
    private Optional<Long> changedRound(long batteryId, List<LedgerEntry> lines) {
        Map<Long, Round> told = new TreeMap<>(RoundsTold.of(lines));
        Map<Long, ClosedRound> stored = rounds.history(batteryId, Integer.MAX_VALUE).stream()
                .collect(Collectors.toMap(ClosedRound::ledgerEntryId, Function.identity()));
        Optional<Long> changed = told.entrySet().stream()
                .filter(round -> !isAsTold(round.getValue(), stored.get(round.getKey())))
                .map(Map.Entry::getKey)
                .findFirst();
        return changed.or(() -> stored.keySet().stream()
                        .filter(entry -> !told.containsKey(entry))
                        .findFirst())
                .or(() -> heldOtherwise(batteryId, stored));
    }

    private static boolean isAsTold(Round told, @Nullable ClosedRound stored) {
        return stored != null && stored.past().round().equals(told);
    }

    /** What is held of rounds follows from everything on record; by rules that were changed since, it may be another. */
    private Optional<Long> heldOtherwise(long batteryId, Map<Long, ClosedRound> stored) {
        Rulebook book = batteryStates.rulebook();
        Battery battery = batteries.byId(batteryId).orElseThrow();
        if (book.changes().stream().anyMatch(change -> change.rule().isAboutBatteries())) {
            return Optional.empty();
        }
        Map<Round, PastRound> held = folds.all(battery, book).rounds().stream()
                .collect(Collectors.toMap(PastRound::round, Function.identity(), (a, b) -> a));
        return stored.values().stream()
                .filter(round -> {
                    PastRound anew = held.get(round.past().round());
                    return anew != null && !isHeldTheSame(anew, round.past());
                })
                .map(ClosedRound::ledgerEntryId)
                .min(Long::compare);
    }

    private static boolean isHeldTheSame(PastRound anew, PastRound stored) {
        return Objects.equals(anew.doubts(), stored.doubts()) && Objects.equals(anew.setAside(), stored.setAside());
    }
}
