package org.ostendum.planner;

import ai.timefold.solver.core.config.heuristic.selector.move.MoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.composite.UnionMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.factory.MoveIteratorFactoryConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.ChangeMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.value.ValueSelectorConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.util.List;

/**
 * What the search tries: another battery, another charger, another time, or beside another charge; two batteries changed over, for one
 * work each or for all from then on; and shifts filled that have none.
 */
// The library's own lists of selectors are raw.
@SuppressWarnings("rawtypes")
final class Moves {
    private Moves() {}

    static LocalSearchPhaseConfig localSearch(TerminationConfig end) {
        List<MoveSelectorConfig> moves = List.of(
                change("battery"),
                change("wait"),
                change("outlet"),
                drawn(BesideAnotherFactory.class),
                drawn(ExchangedFactory.class),
                drawn(TakenOverFactory.class),
                drawn(FilledFactory.class));
        return new LocalSearchPhaseConfig()
                .withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE)
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
