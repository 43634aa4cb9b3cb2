package org.ostendum.core.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ostendum.core.judge.question.ColourOfSample;
import org.ostendum.core.judge.question.DryCells;
import org.ostendum.core.judge.question.Evenness;
import org.ostendum.core.judge.question.FallingCells;
import org.ostendum.core.judge.question.FreezingRisk;
import org.ostendum.core.judge.question.FullWindow;
import org.ostendum.core.judge.question.HighCells;
import org.ostendum.core.judge.question.HotBattery;
import org.ostendum.core.judge.question.ImpossibleReadings;
import org.ostendum.core.judge.question.LayeredAcid;
import org.ostendum.core.judge.question.OverfilledCells;
import org.ostendum.core.judge.question.RestVolts;
import org.ostendum.core.judge.question.TappedBlocks;
import org.ostendum.core.judge.question.ThirstyBattery;
import org.ostendum.core.judge.question.ThirstyCells;
import org.ostendum.core.judge.question.UnreliableRound;
import org.ostendum.core.judge.question.WeakCells;
import org.ostendum.core.judge.question.WornBattery;
import org.ostendum.core.rulebook.Severity;

/** Asks every question of a battery and puts the answers in order. */
public final class Judge {
    private static final List<Question> QUESTIONS = List.of(
            new UnreliableRound(),
            new ImpossibleReadings(),
            new DryCells(),
            new OverfilledCells(),
            new ColourOfSample(),
            new HighCells(),
            new RestVolts(),
            new WeakCells(),
            new FallingCells(),
            new TappedBlocks(),
            new Evenness(),
            new FullWindow(),
            new LayeredAcid(),
            new ThirstyCells(),
            new ThirstyBattery(),
            new HotBattery(),
            new FreezingRisk(),
            new WornBattery());

    private Judge() {}

    /** The names of all questions, in the order in which they are asked. */
    public static List<String> questions() {
        return QUESTIONS.stream().map(Question::name).toList();
    }

    /** Pure: the same case always gets the same verdict. */
    public static Verdict judge(Case battery) {
        List<Finding> findings = new ArrayList<>();
        Map<String, Missing> notJudged = new LinkedHashMap<>();
        for (Question question : QUESTIONS) {
            Outcome outcome = question.ask(battery);
            if (outcome instanceof Outcome.Raised raised) {
                findings.addAll(raised.findings());
            } else if (outcome instanceof Outcome.NotJudged open) {
                notJudged.put(question.name(), open.missing());
            }
        }
        findings.sort(Comparator.comparing(Finding::severity).reversed());
        return new Verdict(severity(findings), sentence(battery, findings), findings, notJudged);
    }

    private static Severity severity(List<Finding> findings) {
        return findings.stream().map(Finding::severity).reduce(Severity.FIT, Severity::worse);
    }

    private static Message sentence(Case battery, List<Finding> findings) {
        if (!findings.isEmpty()) {
            return findings.get(0).sentence();
        }
        if (battery.missingForComparison().isEmpty()) {
            return Message.of(
                    "verdict.fit",
                    battery.gravities().median(),
                    battery.gravities().spread());
        }
        if (battery.missingForGravity().isPresent()) {
            return Message.of("verdict.nothing-seen");
        }
        int percent =
                battery.model().marks().scale().of(battery.gravities().median()).percent();
        // A low cell among few read ones is not cleared by being passed over.
        return battery.missingForComparison().orElseThrow() == Missing.MORE_CELLS
                ? Message.of("verdict.too-few-cells", percent, battery.cellsToCompare())
                : Message.of("verdict.nothing-against", percent);
    }
}
