package org.ostendum.core.state;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.rulebook.Severity;

/** What is held of a battery: the judgement of its newest round, with every finding that still stands. */
final class StandingVerdict {
    private StandingVerdict() {}

    /**
     * @param latest of the newest round; null for a battery never read
     * @param open findings that are not settled, worst first
     * @param isFull whether it is known to be full now
     */
    static Verdict of(@Nullable Verdict latest, List<StandingFinding> open, boolean isFull) {
        if (latest == null) {
            return new Verdict(Severity.FIT, Message.of("verdict.never-read"), List.of(), Map.of());
        }
        List<Finding> standing = open.stream().map(StandingFinding::finding).toList();
        return standing.isEmpty()
                ? new Verdict(Severity.FIT, nothingStands(latest, isFull), List.of(), latest.notJudged())
                : new Verdict(standing.get(0).severity(), standing.get(0).sentence(), standing, latest.notJudged());
    }

    /** What was full when it was read is not said to be full after it has worked. */
    private static Message nothingStands(Verdict latest, boolean isFull) {
        Message said = latest.sentence();
        if (!latest.findings().isEmpty()) {
            return Message.of("verdict.nothing-left");
        }
        return said.key().equals("verdict.fit") && !isFull
                ? new Message("verdict.fit.when-read", said.arguments())
                : said;
    }
}
