package org.ostendum.core.state;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Stage;

/** The table of sentences that may never stand together about one battery at one moment. */
public final class Contradictions {
    private Contradictions() {}

    /** Everything that is said of a battery. */
    public record Said(BatteryState state, List<NextThing> things) {
        public static Said of(BatteryState state) {
            return new Said(state, NextThings.of("T-1", state));
        }

        Set<NextStep> steps() {
            return things.stream().map(NextThing::step).collect(Collectors.toSet());
        }

        boolean asks(NextStep step) {
            return steps().contains(step);
        }

        GateOutcome gate(GateKey key) {
            return Gates.ask(
                    key,
                    new Situation(
                            state.asOf(),
                            ZoneOffset.UTC,
                            state.rules(),
                            Training.BATTERY_CARE,
                            Trained.NOTHING,
                            List.of(),
                            new Situation.Subject("T-1", state, 900, ""),
                            List.of(),
                            new Situation.Target("F1", state.model().nominalVolts(), "", null, null)));
        }

        boolean isOpen(GateKey... keys) {
            for (GateKey key : keys) {
                if (!(gate(key) instanceof GateOutcome.Open)) {
                    return false;
                }
            }
            return true;
        }

        boolean isShut(GateKey... keys) {
            for (GateKey key : keys) {
                if (gate(key) instanceof GateOutcome.Shut) {
                    return true;
                }
            }
            return false;
        }

        /** The gates of putting on charge. */
        boolean mayCharge() {
            return isOpen(
                    GateKey.COMMISSIONED,
                    GateKey.UNDAMAGED,
                    GateKey.SOUND_FOR_CHARGE,
                    GateKey.NOT_CHARGING,
                    GateKey.PLATES_COVERED,
                    GateKey.NOT_OVER_MARK,
                    GateKey.NOT_HOT,
                    GateKey.NOT_FROZEN);
        }

        boolean mayIssue() {
            return isOpen(
                    GateKey.COMMISSIONED,
                    GateKey.NOT_HELD,
                    GateKey.UNDAMAGED,
                    GateKey.SOUND_FOR_WORK,
                    GateKey.NOT_CHARGING,
                    GateKey.CHARGED,
                    GateKey.COOLED,
                    GateKey.NO_STOP_FINDING);
        }

        boolean mayWater() {
            return isOpen(GateKey.COMMISSIONED, GateKey.NOT_CHARGING, GateKey.NOT_OVER_MARK, GateKey.FULL_BEFORE_WATER);
        }

        boolean mayRead() {
            return isOpen(GateKey.NOT_CHARGING, GateKey.MIXED_BEFORE_ROUND);
        }
    }

    private record Pair(String name, Predicate<Said> one, Predicate<Said> other) {}

    private static final List<Pair> NEVER_TOGETHER = List.of(
            new Pair("full / charge it", s -> s.state().full().isYes(), s -> s.asks(NextStep.CHARGE)),
            new Pair(
                    "full / known to be low",
                    s -> s.state().full().isYes(),
                    s -> s.state().charge().high() < 0.85 && s.state().charge().basis() == ChargeRange.Basis.WORK),
            new Pair(
                    "not full / water it", s -> !s.state().full().isYes(), s -> s.asks(NextStep.WATER) || s.mayWater()),
            new Pair("read it / water it", s -> s.asks(NextStep.TAKE_ROUND), s -> s.asks(NextStep.WATER)),
            new Pair(
                    "it leaks / read, water or wash it",
                    s -> s.isShut(GateKey.UNDAMAGED),
                    s -> s.asks(NextStep.TAKE_ROUND) || s.asks(NextStep.WATER) || s.asks(NextStep.WASH)),
            new Pair("equalise it / water it", s -> s.asks(NextStep.EQUALISE), s -> s.asks(NextStep.WATER)),
            new Pair(
                    "equalise it / its gates are shut",
                    s -> s.asks(NextStep.EQUALISE),
                    s -> s.isShut(
                            GateKey.COMMISSIONED,
                            GateKey.UNDAMAGED,
                            GateKey.SOUND_FOR_CHARGE,
                            GateKey.HAS_CAPS,
                            GateKey.NOT_CHARGING,
                            GateKey.JUST_FULL,
                            GateKey.PLATES_COVERED,
                            GateKey.NOT_OVER_MARK,
                            GateKey.NOT_HOT)),
            new Pair(
                    "over the mark / water",
                    s -> !s.state().levels().over().isEmpty(),
                    s -> s.asks(NextStep.WATER) || s.mayWater()),
            new Pair(
                    "over the mark / charge",
                    s -> !s.state().levels().over().isEmpty(),
                    s -> s.mayCharge() || asksCharge(s)),
            new Pair(
                    "plates show / charge",
                    s -> !s.state().levels().bare().isEmpty(),
                    s -> s.mayCharge() || asksCharge(s)),
            new Pair("charging / issue", s -> s.state().isCharging(), Said::mayIssue),
            new Pair("charging / water", s -> s.state().isCharging(), s -> s.mayWater() || s.asks(NextStep.WATER)),
            new Pair(
                    "charging / round",
                    s -> s.state().isCharging(),
                    s -> s.mayRead() || s.steps().stream().anyMatch(NextStep::isReading)),
            new Pair("charging / charge it", s -> s.state().isCharging(), Contradictions::asksCharge),
            new Pair("charging / cooling", s -> s.state().isCharging(), s -> s.state()
                    .heat()
                    .isCooling()),
            new Pair("cooling / issue", s -> s.state().heat().isCooling(), Said::mayIssue),
            new Pair(
                    "cooling / ready",
                    s -> s.state().heat().isCooling(),
                    s -> s.state().phase() == BatteryState.Phase.READY),
            new Pair("held / issue", s -> s.state().heldFor() != null, Said::mayIssue),
            new Pair(
                    "hot / charge",
                    s -> s.state().heat().isTooHotToCharge().isYes(),
                    s -> s.mayCharge() || asksCharge(s)),
            new Pair(
                    "water not mixed / read it",
                    s -> s.state().mixed().isNo(),
                    s -> s.mayRead() || s.steps().stream().anyMatch(NextStep::isReading)),
            new Pair(
                    "not known to be full / issue or water",
                    s -> s.state().full().value() == Answer.UNKNOWN
                            && s.state().charge().low() < 0.8,
                    s -> s.mayIssue() || s.mayWater()),
            new Pair(
                    "levels not known / charge",
                    s -> s.state().levels().platesCovered() == Answer.UNKNOWN,
                    Said::mayCharge),
            new Pair(
                    "defect / its gate",
                    s -> s.state().defects().stream().anyMatch(d -> d.kind().shutsCharge()),
                    s -> s.mayCharge() || asksCharge(s)),
            new Pair(
                    "charging / a defect that shuts the charge waits",
                    s -> s.state().isCharging() && s.state().severity() != Severity.STOP,
                    s -> s.state().defects().stream().anyMatch(d -> d.kind().shutsCharge())),
            new Pair(
                    "defect / issue",
                    s -> s.state().defects().stream().anyMatch(d -> d.kind().shutsIssue()),
                    Said::mayIssue),
            new Pair(
                    "dry / charge, water, issue",
                    s -> s.state().stage() == Stage.DRY,
                    s -> s.mayCharge() || s.mayIssue() || s.mayWater()),
            new Pair("a stop finding / issue", s -> s.state().verdict().severity() == Severity.STOP, Said::mayIssue),
            new Pair(
                    "fit / something to stop for",
                    s -> s.state().severity() == Severity.FIT,
                    s -> s.state().findings().stream()
                            .anyMatch(f -> f.severity().compareTo(Severity.ACT) >= 0)),
            new Pair(
                    "equalised / no equalising on record",
                    s -> s.state().charging().equalised() != null,
                    s -> EqualiseProposal.of(s.state())
                            .filter(p -> p.sentence().key().equals("equalise.unknown"))
                            .isPresent()));

    private static boolean asksCharge(Said said) {
        return said.steps().stream()
                .anyMatch(step -> step == NextStep.CHARGE || step == NextStep.EQUALISE || step == NextStep.LONG_CHARGE);
    }

    /** @return names of the pairs of which one half is said here, so that the other could have been */
    public static List<String> half(BatteryState state) {
        Said said = Said.of(state);
        return NEVER_TOGETHER.stream()
                .filter(pair -> pair.one().test(said))
                .map(Pair::name)
                .toList();
    }

    public static List<String> names() {
        return NEVER_TOGETHER.stream().map(Pair::name).toList();
    }

    /** @return names of the pairs that stand together here; none as it should be */
    public static List<String> in(BatteryState state) {
        Said said = Said.of(state);
        List<String> found = new ArrayList<>();
        NEVER_TOGETHER.stream()
                .filter(pair -> pair.one().test(said) && pair.other().test(said))
                .forEach(pair -> found.add(pair.name()));
        return found;
    }
}
