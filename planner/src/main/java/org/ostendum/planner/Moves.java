package org.ostendum.planner;

import ai.timefold.solver.core.config.heuristic.selector.move.MoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.composite.UnionMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.factory.MoveIteratorFactoryConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.ChangeMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.SwapMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.value.ValueSelectorConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.util.List;

/** What the search tries: another battery, another charger, another time, or beside another charge; and two batteries changed over. */
// The library's own lists of selectors are raw.
@SuppressWarnings("rawtypes")
final class Moves {
    private Moves() {}

    static LocalSearchPhaseConfig localSearch(TerminationConfig end) {
        List<MoveSelectorConfig> moves = List.of(
                change("battery"),
                change("wait"),
                change("outlet"),
                new MoveIteratorFactoryConfig().withMoveIteratorFactoryClass(BesideAnotherFactory.class),
                new SwapMoveSelectorConfig().withVariableNameIncludes("battery"));
        return new LocalSearchPhaseConfig()
                .withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE)
                .withMoveSelectorConfig(new UnionMoveSelectorConfig(moves))
                .withTerminationConfig(end);
    }

    private static ChangeMoveSelectorConfig change(String variable) {
        return new ChangeMoveSelectorConfig().withValueSelectorConfig(new ValueSelectorConfig(variable));
    }
}
