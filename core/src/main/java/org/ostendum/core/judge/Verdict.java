package org.ostendum.core.judge;

import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.core.rulebook.Severity;

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
        notJudged = Collections.unmodifiableMap(new LinkedHashMap<>(notJudged));
    }

    public NextStep next() {
        return findings.isEmpty() ? NextStep.NONE : findings.get(0).next();
    }

    /** @return the forecast that comes true first */
    public Optional<Forecast> firstForecast() {
        return findings.stream()
                .map(Finding::forecast)
                .filter(Objects::nonNull)
                .min(Comparator.comparing(Forecast::crosses));
    }
}
