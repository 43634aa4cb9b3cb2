package org.ostendum.planner;

import ai.timefold.solver.core.config.heuristic.selector.move.MoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.composite.UnionMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.factory.MoveIteratorFactoryConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.ChangeMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.value.ValueSelectorConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.decider.acceptor.LocalSearchAcceptorConfig;
import ai.timefold.solver.core.config.localsearch.decider.forager.LocalSearchForagerConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.util.List;
import java.util.function.DoubleFunction;

/**
 * What the search tries: another battery, another charger, another time, or beside another charge; two batteries changed over, for one
 * work each or for all from then on; and shifts filled that have none.
 */
// The library's own lists of selectors are raw.
@SuppressWarnings("rawtypes")
final class Moves {
    /**
     * A plan is taken that is better than the one so many moves ago. At first many: shifts are filled by what costs more for a while. Then
     * few: what is there gets cheaper soonest. Few alone leave shifts of small rooms without, many alone come to no end (docs/planning.md).
     */
    private static final int BACK_AT_FIRST = 2000;

    private static final int BACK_THEN = 100;
    private static final double FIRST_PART = 0.25;

    private Moves() {}

    /** @param end of a part of the search, 0 to 1 */
    static LocalSearchPhaseConfig[] phases(DoubleFunction<TerminationConfig> end) {
        return new LocalSearchPhaseConfig[] {
            localSearch(end.apply(FIRST_PART), BACK_AT_FIRST), localSearch(end.apply(1 - FIRST_PART), BACK_THEN)
        };
    }

    private static LocalSearchPhaseConfig localSearch(TerminationConfig end, int back) {
        List<MoveSelectorConfig> moves = List.of(
                change("battery"),
                change("wait"),
                change("outlet"),
                drawn(BesideAnotherFactory.class),
                drawn(ExchangedFactory.class),
                drawn(TakenOverFactory.class),
                drawn(FilledFactory.class));
        return new LocalSearchPhaseConfig()
                .withAcceptorConfig(new LocalSearchAcceptorConfig().withLateAcceptanceSize(back))
                .withForagerConfig(new LocalSearchForagerConfig().withAcceptedCountLimit(1))
                .withMoveSelectorConfig(new UnionMoveSelectorConfig(moves))
                .withTerminationConfig(end);
    }

    private static MoveIteratorFactoryConfig drawn(Class<? extends RandomMoves> moves) {
        return new MoveIteratorFactoryConfig().withMoveIteratorFactoryClass(moves);
    }

    private static ChangeMoveSelectorConfig change(String variable) {
        return new ChangeMoveSelectorConfig().withValueSelectorConfig(new ValueSelectorConfig(variable));
    }
}
