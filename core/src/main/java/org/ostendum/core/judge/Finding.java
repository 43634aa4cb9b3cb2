package org.ostendum.core.judge;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.rulebook.RuleUse;
import org.ostendum.core.rulebook.Severity;

/**
 * One thing the judge has to say about a battery.
 *
 * @param code what was found
 * @param cells the cells it is about, empty when it is about the battery
 * @param severity how far it reaches
 * @param sentence the finding in a sentence
 * @param why its reasons with their figures
 * @param rules the rules used, with their values at that moment
 * @param evidence the figures it rests on
 * @param next what to do
 * @param forecast null where nothing is forecast
 * @param confidence 0 to 1
 */
public record Finding(
        FindingCode code,
        Cells cells,
        Severity severity,
        Message sentence,
        Message why,
        List<RuleUse> rules,
        Evidence evidence,
        NextStep next,
        @Nullable Forecast forecast,
        double confidence) {

    public Finding {
        rules = List.copyOf(rules);
    }
}
