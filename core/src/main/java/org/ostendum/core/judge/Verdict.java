package org.ostendum.core.judge;

import java.util.List;
import java.util.Map;

/**
 * What the judge holds of a battery after a round.
 *
 * @param severity of the worst finding
 * @param sentence the verdict in a sentence
 * @param findings worst first
 * @param notJudged what could not be judged, by the question's name, and what it lacks
 */
public record Verdict(Severity severity, Message sentence, List<Finding> findings, Map<String, Missing> notJudged) {
    public Verdict {
        findings = List.copyOf(findings);
        notJudged = Map.copyOf(notJudged);
    }

    public NextStep next() {
        return findings.isEmpty() ? NextStep.NONE : findings.get(0).next();
    }
}
