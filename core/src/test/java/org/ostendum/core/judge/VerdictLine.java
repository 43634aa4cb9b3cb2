package org.ostendum.core.judge;

import java.util.stream.Collectors;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;

/** A verdict in one line, with every figure it rests on. */
final class VerdictLine {
    private VerdictLine() {}

    static String of(Verdict verdict) {
        String findings = verdict.findings().stream().map(VerdictLine::of).collect(Collectors.joining("; "));
        String open = verdict.notJudged().entrySet().stream()
                .filter(e -> e.getValue() == Missing.MORE_ROUNDS || e.getValue() == Missing.ROUND_AFTER_EQUALISE)
                .map(e -> " (open: " + e.getKey() + ")")
                .collect(Collectors.joining());
        return (findings.isEmpty() ? verdict.sentence().key() : findings) + open;
    }

    private static String of(Finding finding) {
        return finding.severity() + " " + finding.code() + " "
                + finding.cells().numbers() + " " + finding.next() + " "
                + Math.round(100 * finding.confidence()) + " % " + words(finding.sentence()) + " because "
                + words(finding.why()) + " " + evidence(finding);
    }

    private static String evidence(Finding finding) {
        return finding.evidence().figures().stream()
                .map(e -> e.name() + "=" + value(e.value()))
                .collect(Collectors.joining(" ", "{", "}"));
    }

    private static String words(Message message) {
        return message.key().replace("finding.", "")
                + message.arguments().stream().map(VerdictLine::value).collect(Collectors.joining(" ", "(", ")"));
    }

    private static String value(Object value) {
        if (value instanceof GravityDifference points) {
            return String.valueOf(points.tenths() / 10.0);
        }
        if (value instanceof CorrectedGravity gravity) {
            return String.valueOf(gravity.tenths() / 10_000.0);
        }
        if (value instanceof Cells cells) {
            return cells.numbers().toString();
        }
        return value instanceof Message message ? words(message) : value.toString();
    }
}
