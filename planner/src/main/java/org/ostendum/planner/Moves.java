package org.ostendum.planner;

import ai.timefold.solver.core.config.heuristic.selector.entity.EntitySelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.MoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.composite.CartesianProductMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.composite.UnionMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.ChangeMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.move.generic.SwapMoveSelectorConfig;
import ai.timefold.solver.core.config.heuristic.selector.value.ValueSelectorConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.util.List;

/** What the search tries: another battery, another charger, another time, or charger and time at once; and two batteries changed over. */
// The library's own lists of selectors are raw.
@SuppressWarnings("rawtypes")
final class Moves {
    private Moves() {}

    static LocalSearchPhaseConfig localSearch(TerminationConfig end) {
        List<MoveSelectorConfig> moves = List.of(
                change("battery"),
                change("wait"),
                change("outlet"),
                chargerAndTime(),
                new SwapMoveSelectorConfig().withVariableNameIncludes("battery"));
        return new LocalSearchPhaseConfig()
                .withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE)
                .withMoveSelectorConfig(new UnionMoveSelectorConfig(moves))
                .withTerminationConfig(end);
    }

    private static ChangeMoveSelectorConfig change(String variable) {
        return new ChangeMoveSelectorConfig().withValueSelectorConfig(new ValueSelectorConfig(variable));
    }

    private static MoveSelectorConfig chargerAndTime() {
        EntitySelectorConfig one = new EntitySelectorConfig().withId("charged");
        EntitySelectorConfig same = EntitySelectorConfig.newMimicSelectorConfig("charged");
        return new CartesianProductMoveSelectorConfig(List.of(
                change("outlet").withEntitySelectorConfig(one), change("wait").withEntitySelectorConfig(same)));
    }
}
