package org.ostendum.core.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.AcidAdjusted;
import org.ostendum.core.event.BatteryEvent.BlocksMoved;
import org.ostendum.core.event.BatteryEvent.CellBridged;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargerChecked;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.RoundTaken;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.Sheet;

/**
 * The findings about a battery and how far each has come. A round raises some, and refutes those that it could have shown and
 * did not; a round that could not have shown a finding leaves it as it was. What is done about one moves it on.
 */
public record Findings(List<StandingFinding> all) {
    public static final Findings NONE = new Findings(List.of());

    /** A low current of so many hours is meant against sulfate. */
    private static final double LONG_HOURS = 24;

    public Findings {
        all = List.copyOf(all);
    }

    /** @return those not settled, worst first */
    public List<StandingFinding> open() {
        return all.stream().filter(StandingFinding::isOpen).sorted(WORST_FIRST).toList();
    }

    private static final Comparator<StandingFinding> WORST_FIRST =
            Comparator.comparing((StandingFinding f) -> f.finding().severity()).reversed();

    /** @param verdict of the judge on this round alone */
    Findings after(PastRound round, Verdict verdict) {
        List<StandingFinding> now = new ArrayList<>();
        List<Finding> raised = new ArrayList<>(verdict.findings());
        for (StandingFinding standing : all) {
            if (standing.family() == Family.READING || !standing.isOpen()) {
                continue;
            }
            List<Finding> again = raised.stream().filter(standing::isAbout).toList();
            raised.removeAll(again);
            now.add(again.isEmpty() ? notSeen(standing, round, verdict) : seen(standing, again, round));
        }
        raised.forEach(finding -> now.add(first(finding, round.round())));
        return new Findings(now);
    }

    private static StandingFinding first(Finding finding, Round round) {
        Instant at = round.takenAt();
        return new StandingFinding(finding, lifeAtFirst(finding), at, at, at, StandingFinding.BY_ROUND, 0);
    }

    private static FindingLife lifeAtFirst(Finding finding) {
        return isProvedAtOnce(finding) ? FindingLife.CONFIRMED : FindingLife.SUSPECTED;
    }

    /** What was seen, or measured where it cannot be otherwise, needs no second round; what was concluded does. */
    private static boolean isProvedAtOnce(Finding finding) {
        boolean bySight =
                switch (Family.of(finding)) {
                    case LEVEL, OVER, UNEVEN, HOT, FREEZING, READING -> true;
                    case UNDERCHARGED -> finding.next() == NextStep.CHECK_CHARGER || finding.next() == NextStep.CHARGE;
                    case LOW_CELL -> finding.code() == FindingCode.CELL_SHORT;
                    case COLOUR, THIRSTY_CELL, STRATIFIED, THIRST, WORN, HIGH, TAP -> false;
                };
        return bySight || finding.severity() == Severity.STOP;
    }

    /** Seen again it is sure. A round that cannot prove as much does not soften what another one has proved. */
    private static StandingFinding seen(StandingFinding standing, List<Finding> again, PastRound past) {
        Finding newest =
                again.stream().max(Comparator.comparing(Finding::severity)).orElseThrow();
        boolean softer = newest.severity().compareTo(standing.finding().severity()) < 0;
        boolean proves = past.round().state() == RoundState.AFTER_EQUALISE
                || standing.family() != Family.LOW_CELL
                || standing.finding().severity() != Severity.STOP;
        Finding kept = softer && !proves ? standing.finding() : newest;
        Instant at = past.round().takenAt();
        boolean moves = standing.life() != FindingLife.CONFIRMED;
        return new StandingFinding(
                kept,
                FindingLife.CONFIRMED,
                standing.since(),
                at,
                moves ? at : standing.moved(),
                moves ? StandingFinding.BY_ROUND : standing.by(),
                0);
    }

    private static StandingFinding notSeen(StandingFinding standing, PastRound past, Verdict verdict) {
        if (!couldShow(standing, past, verdict)) {
            return standing;
        }
        int clear = standing.clear() + 1;
        boolean settled = clear >= standing.family().clearedAfter();
        StandingFinding counted = standing.cleared(clear);
        return settled ? counted.moved(FindingLife.SETTLED, past.round().takenAt(), StandingFinding.BY_ROUND) : counted;
    }

    private static boolean couldShow(StandingFinding standing, PastRound past, Verdict verdict) {
        Family family = standing.family();
        if (verdict.notJudged().containsKey(family.question())) {
            return false;
        }
        boolean inRightState = !family.isOnFullOnly()
                || (past.isSound() && past.round().state().isFull())
                // A battery that was low at work and now stands above its mark has been charged.
                || standing.finding().next() == NextStep.CHARGE;
        return inRightState && wereLookedAt(standing, past.round());
    }

    private static boolean wereLookedAt(StandingFinding standing, Round round) {
        Set<Integer> looked = round.readings().stream()
                .filter(reading -> tells(standing.family(), reading))
                .map(CellReading::cell)
                .collect(Collectors.toSet());
        return looked.containsAll(standing.finding().cells().numbers());
    }

    private static boolean tells(Family family, CellReading reading) {
        return switch (family) {
            case LEVEL, OVER, THIRSTY_CELL -> reading.level() != null || reading.tooLow();
            case COLOUR -> reading.colour() != null;
            default -> reading.gravity() != null;
        };
    }

    /** @param facts after the event */
    Findings after(BatteryEvent event, Facts facts, Sheet sheet) {
        List<StandingFinding> now = new ArrayList<>();
        for (StandingFinding standing : all) {
            now.add(standing.isOpen() ? after(standing, event, facts, sheet) : standing);
        }
        return new Findings(now);
    }

    private static StandingFinding after(StandingFinding standing, BatteryEvent event, Facts facts, Sheet sheet) {
        if (event instanceof CellReplaced replaced) {
            return withoutCell(standing, replaced.cell(), event);
        } else if (event instanceof CellBridged bridged) {
            return withoutCell(standing, bridged.cell(), event);
        } else if (event instanceof BlocksMoved moved) {
            return moved(standing, moved, sheet);
        } else if (isAboutLevels(standing)) {
            return tellsLevels(event) ? byLevel(standing, event, facts, sheet) : standing;
        } else if (standing.life() != FindingLife.ACTED_UPON && actsOn(standing, event)) {
            return standing.moved(FindingLife.ACTED_UPON, event.at(), event.word());
        }
        boolean isCharged = standing.finding().next() == NextStep.CHARGE
                && event instanceof ChargeEnded
                && facts.charge().full().isYes();
        return isCharged ? standing.moved(FindingLife.SETTLED, event.at(), event.word()) : standing;
    }

    /** A new cell has done nothing yet, a bridged one does nothing any more. */
    private static StandingFinding withoutCell(StandingFinding standing, int gone, BatteryEvent by) {
        List<Integer> cells = standing.finding().cells().numbers();
        if (!cells.contains(gone)) {
            return standing;
        }
        List<Integer> others = cells.stream().filter(cell -> cell != gone).toList();
        return others.isEmpty()
                ? standing.moved(FindingLife.SETTLED, by.at(), by.word())
                : standing.with(about(standing.finding(), new Cells(others)));
    }

    /** A finding goes with its block; what a tap has worn has been acted upon. */
    private static StandingFinding moved(StandingFinding standing, BlocksMoved moved, Sheet sheet) {
        int perBlock = sheet.model().layout().cellsPerCase();
        List<Integer> cells = standing.finding().cells().numbers();
        StandingFinding there = cells.isEmpty()
                ? standing
                : standing.with(about(
                        standing.finding(),
                        new Cells(cells.stream()
                                .map(cell -> moved.now(cell, perBlock))
                                .sorted()
                                .toList())));
        return standing.family() == Family.TAP && standing.life() != FindingLife.ACTED_UPON
                ? there.moved(FindingLife.ACTED_UPON, moved.at(), moved.word())
                : there;
    }

    /** The same finding about fewer cells; its sentence names them anew. */
    private static Finding about(Finding finding, Cells cells) {
        List<Object> arguments = finding.sentence().arguments().stream()
                .map(argument -> argument instanceof Cells ? (Object) cells : argument)
                .toList();
        return new Finding(
                finding.code(),
                cells,
                finding.severity(),
                new Message(finding.sentence().key(), arguments),
                finding.why(),
                finding.rules(),
                finding.evidence(),
                finding.next(),
                finding.forecast(),
                finding.confidence());
    }

    /** Levels that a round has seen settle what another round has found of them. */
    Findings byLevelsOf(RoundTaken round, Facts facts, Sheet sheet) {
        return new Findings(all.stream()
                .map(f -> f.isOpen() && isAboutLevels(f) ? byLevel(f, round, facts, sheet) : f)
                .toList());
    }

    private static boolean isAboutLevels(StandingFinding standing) {
        return standing.family() == Family.LEVEL || standing.family() == Family.OVER;
    }

    private static boolean tellsLevels(BatteryEvent event) {
        return event instanceof BatteryEvent.Watered
                || event instanceof BatteryEvent.DrewOff
                || event instanceof BatteryEvent.LevelRead;
    }

    /** What the levels are now says whether it still stands. */
    private static StandingFinding byLevel(StandingFinding standing, BatteryEvent event, Facts facts, Sheet sheet) {
        boolean dry = standing.family() == Family.LEVEL;
        List<Integer> cells = standing.finding().cells().numbers();
        var levels = facts.water().levels();
        var marks = sheet.model().levels();
        List<Integer> left = cells.stream()
                .filter(cell -> levels.get(cell) == null
                        || (dry
                                ? !levels.get(cell).isLow(marks).isNo()
                                : !levels.get(cell).isOver(marks).isNo()))
                .toList();
        if (left.isEmpty()) {
            return standing.moved(FindingLife.SETTLED, event.at(), event.word());
        }
        boolean covered = dry
                && standing.finding().next() == NextStep.COVER_PLATES
                && event instanceof BatteryEvent.Watered
                && left.stream()
                        .allMatch(cell ->
                                levels.get(cell) != null && levels.get(cell).coversPlates() == Answer.YES);
        if (covered) {
            return standing.moved(FindingLife.ACTED_UPON, event.at(), event.word());
        }
        return left.size() == cells.size() ? standing : standing.with(about(standing.finding(), new Cells(left)));
    }

    private static boolean actsOn(StandingFinding standing, BatteryEvent event) {
        return switch (standing.finding().next()) {
            case EQUALISE -> event instanceof Equalised;
            case LONG_CHARGE -> event instanceof Equalised equalised && equalised.hours() >= LONG_HOURS;
            case CHECK_CHARGER -> event instanceof ChargerChecked;
            case ADJUST_ACID ->
                event instanceof AcidAdjusted adjusted
                        && (adjusted.cell() == null
                                || standing.finding().cells().numbers().contains(adjusted.cell()));
            default -> false;
        };
    }
}
