package org.ostendum.core.judge;

import java.util.List;

/** The answer to one question about a battery. */
public sealed interface Outcome {
    /** Asked, and nothing found. */
    record Clear() implements Outcome {}

    /** Found. */
    record Raised(List<Finding> findings) implements Outcome {
        public Raised {
            findings = List.copyOf(findings);
        }
    }

    /** Could not be asked, and what would be needed. */
    record NotJudged(Missing missing) implements Outcome {}

    static Outcome of(List<Finding> findings) {
        return findings.isEmpty() ? new Clear() : new Raised(findings);
    }

    static Outcome of(Finding finding) {
        return new Raised(List.of(finding));
    }
}
