package org.ostendum.core.change;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.life.BreakIn;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;

/**
 * Which battery goes into a machine next: of those that may, one that is broken in, the longest rested of them, and of those that have
 * rested alike the one that has worked least. Practice {@code change.choose}.
 */
public final class Choosing {
    /** What must hold of a battery before it goes into a machine, the most telling first. */
    private static final List<GateKey> ASKED = List.of(
            GateKey.RIGHT_VOLTAGE,
            GateKey.RIGHT_WEIGHT,
            GateKey.RIGHT_SIZE,
            GateKey.COMMISSIONED,
            GateKey.NOT_HELD,
            GateKey.NOT_IN_HAND,
            GateKey.UNDAMAGED,
            GateKey.SOUND_FOR_WORK,
            GateKey.NO_STOP_FINDING,
            GateKey.ALL_CELLS,
            GateKey.NOT_CHARGING,
            GateKey.CHARGED,
            GateKey.COOLED);

    private static final Comparator<Ranked> ORDER = Comparator.comparing(Ranked::may)
            .reversed()
            .thenComparing(ranked -> ranked.against().size())
            .thenComparing(ranked -> ranked.pooled().breaksIn())
            .thenComparing(Ranked::inTurn);

    private Choosing() {}

    /**
     * A battery of the pool.
     *
     * @param inMachine code of the machine it is in; null for none
     * @param cycles on record lately
     * @param breakIn null for one that is broken in
     */
    public record Pooled(Subject subject, @Nullable String inMachine, int cycles, @Nullable BreakIn breakIn) {
        public boolean breaksIn() {
            return breakIn != null;
        }
    }

    /**
     * A battery in its place in the order.
     *
     * @param rested since it was full; null where it is not known to be
     * @param against what keeps it from going in, the worst first; none for one that may
     */
    public record Ranked(Pooled pooled, @Nullable Duration rested, List<Message> against) {
        public Ranked {
            against = List.copyOf(against);
        }

        public boolean may() {
            return against.isEmpty();
        }

        private RestOrder inTurn() {
            return new RestOrder(pooled.subject().code(), rested, pooled.cycles());
        }
    }

    /** @param machine the moment with the machine in it, whichever battery it has */
    public static List<Ranked> rank(Situation machine, List<Pooled> pool) {
        return pool.stream()
                .map(pooled -> ranked(machine, pooled))
                .sorted(ORDER)
                .toList();
    }

    /** @return the one to be taken first; empty where none may go in */
    public static Optional<Ranked> first(List<Ranked> ranked) {
        return ranked.stream().filter(Ranked::may).findFirst();
    }

    /** What keeps it on the rack of those ready keeps it here: it may work, but something is to be done before. */
    private static Optional<Message> first(BatteryState state) {
        if (state.severity().compareTo(Severity.ACT) < 0) {
            return Optional.empty();
        }
        Message why = state.findings().stream()
                .filter(finding -> finding.severity().compareTo(Severity.ACT) >= 0)
                .map(finding -> finding.finding().sentence())
                .findFirst()
                .orElseGet(() -> state.defects().stream()
                        .filter(defect -> defect.kind().severity().compareTo(Severity.ACT) >= 0)
                        .map(defect -> Message.of("next.defect", defect.kind(), defect.since()))
                        .findFirst()
                        .orElse(Message.of("choose.first.unsaid")));
        return Optional.of(Message.of("choose.first", why));
    }

    private static Ranked ranked(Situation machine, Pooled pooled) {
        List<Message> against = new ArrayList<>();
        if (pooled.inMachine() != null) {
            against.add(Message.of("choose.in-machine", pooled.inMachine()));
        }
        BatteryState state = pooled.subject().state();
        if (state.promisedTo() != null) {
            against.add(Message.of("choose.promised", state.promisedTo()));
        }
        Situation situation = machine.of(pooled.subject());
        for (GateKey gate : ASKED) {
            if (Gates.ask(gate, situation) instanceof GateOutcome.Shut shut) {
                against.add(shut.why());
            }
        }
        if (against.isEmpty()) {
            first(state).ifPresent(against::add);
        }
        Instant full = state.full().isYes() ? state.full().since() : null;
        if (full == null && against.isEmpty()) {
            against.add(Message.of("choose.full-unknown", pooled.subject().code()));
        }
        return new Ranked(pooled, full == null ? null : Duration.between(full, machine.now()), against);
    }
}
