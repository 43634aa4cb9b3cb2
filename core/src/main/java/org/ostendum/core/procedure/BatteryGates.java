package org.ostendum.core.procedure;

import java.time.Instant;
import java.util.List;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Message;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.CellsNow;
import org.ostendum.core.state.fact.OpenDefect;
import org.ostendum.core.state.fact.Stage;

/** Gates on what a battery is like, whatever is to be done with it. */
final class BatteryGates {
    private BatteryGates() {}

    /** A damaged battery is neither charged, jumped nor lifted as usual. */
    static GateOutcome undamaged(Subject battery) {
        return battery.state().isCaseDamaged()
                ? GateOutcome.shut(
                        Message.of("gate.UNDAMAGED.shut", battery.code()),
                        Message.of("gate.UNDAMAGED.remedy"),
                        "spill",
                        new Figure("defect", DefectKind.DAMAGED_CASE.word()))
                : GateOutcome.OPEN;
    }

    /** Sealed cells have nothing to open. */
    static GateOutcome hasCaps(Subject battery) {
        return battery.state().model().kind().hasCaps()
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.HAS_CAPS.shut", battery.code()), Message.of("gate.HAS_CAPS.remedy"), null);
    }

    /** Dry plates take no current and do no work; a retired battery is not here. */
    static GateOutcome commissioned(Subject battery) {
        Stage stage = battery.state().stage();
        return stage.isUsable()
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.COMMISSIONED.shut." + stage, battery.code()),
                        Message.of("gate.COMMISSIONED.remedy." + stage),
                        stage == Stage.DRY ? "commission-dry" : null,
                        new Figure("stage", stage.word()));
    }

    /** What has left the site keeps its past and takes nothing more. */
    static GateOutcome notRetired(Subject battery) {
        return battery.state().stage() != Stage.RETIRED
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.NOT_RETIRED.shut", battery.code()),
                        Message.of("gate.NOT_RETIRED.remedy"),
                        null,
                        new Figure("stage", Stage.RETIRED.word()));
    }

    static GateOutcome notHeld(Subject battery) {
        String reason = battery.state().heldFor();
        return reason == null
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.NOT_HELD.shut", battery.code(), reason),
                        Message.of("gate.NOT_HELD.remedy"),
                        null,
                        new Figure("stage", Stage.HELD.word()));
    }

    /** A battery of one cell less is of another voltage: only a lead lets it go to work so. */
    static GateOutcome allCells(Subject battery) {
        CellsNow cells = battery.state().cells();
        List<Integer> bridged = List.copyOf(cells.bridged().keySet());
        return bridged.isEmpty()
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of(
                                cells.isBridgedTooLong() ? "gate.ALL_CELLS.over" : "gate.ALL_CELLS.shut",
                                battery.code(),
                                new Cells(bridged),
                                cells.nominalVolts(),
                                cells.bridged().values().iterator().next()),
                        Message.of("gate.ALL_CELLS.remedy"),
                        "cell-repair",
                        new Figure("bridged", bridged.get(0)));
    }

    /** Emptied to its cut-off it would sulfate where it stands. */
    static GateOutcome recharged(Subject battery) {
        return battery.state().tests().isRechargeDue()
                ? GateOutcome.shut(
                        Message.of("gate.RECHARGED.shut", battery.code()),
                        Message.of("gate.RECHARGED.remedy"),
                        "charge",
                        new Figure("rechargeDue", true))
                : GateOutcome.OPEN;
    }

    static GateOutcome notStored(Subject battery) {
        return battery.state().stage() != Stage.STORED
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.NOT_STORED.shut", battery.code()),
                        Message.of("gate.NOT_STORED.remedy"),
                        "wake-up",
                        new Figure("stage", Stage.STORED.word()));
    }

    static GateOutcome kitOff(Subject battery) {
        Instant on = battery.state().kit().on();
        return on == null
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.KIT_OFF.shut", battery.code(), on),
                        Message.of("gate.KIT_OFF.remedy"),
                        "kit-off",
                        new Figure("kitOn", on));
    }

    static GateOutcome signed(Subject battery) {
        Instant since = battery.state().unsignedSince();
        return since == null
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.SIGNED.shut", battery.code(), since),
                        Message.of("gate.SIGNED.remedy"),
                        null,
                        new Figure("unsignedSince", since));
    }

    static GateOutcome notInHand(Subject battery) {
        String job = battery.state().inHand();
        return job == null
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.NOT_IN_HAND.shut", battery.code(), job),
                        Message.of("gate.NOT_IN_HAND.remedy"),
                        null,
                        new Figure("inHand", job));
    }

    static GateOutcome soundForCharge(Subject battery) {
        return withoutDefects(
                battery,
                battery.state().defects().stream()
                        .filter(d -> d.kind().shutsCharge())
                        .toList(),
                GateKey.SOUND_FOR_CHARGE);
    }

    static GateOutcome soundForWork(Subject battery) {
        return withoutDefects(
                battery,
                battery.state().defects().stream()
                        .filter(d -> d.kind().shutsIssue())
                        .toList(),
                GateKey.SOUND_FOR_WORK);
    }

    private static GateOutcome withoutDefects(Subject battery, List<OpenDefect> standing, GateKey gate) {
        return standing.stream()
                .findFirst()
                .map(d -> GateOutcome.shut(
                        Message.of("gate." + gate + ".shut", battery.code(), d.kind(), d.since()),
                        Message.of("gate." + gate + ".remedy"),
                        d.kind().fixedBy().stream().findFirst().orElse(null),
                        new Figure("defect", d.kind().word())))
                .orElse(GateOutcome.OPEN);
    }

    static GateOutcome noStopFinding(Subject battery) {
        return battery.state().findings().stream()
                .map(f -> f.finding())
                .filter(f -> f.severity() == Severity.STOP)
                .findFirst()
                .map(f -> GateOutcome.shut(
                        f.sentence(),
                        Message.of("gate.NO_STOP_FINDING.remedy"),
                        null,
                        new Figure("finding", f.code().code())))
                .orElse(GateOutcome.OPEN);
    }

    /** Bare plates on charge sulfate and spark. Nobody knows of a cell that was never looked into. */
    static GateOutcome platesCovered(Subject battery) {
        BatteryState state = battery.state();
        if (!state.model().kind().hasCaps()) {
            return GateOutcome.OPEN;
        }
        return switch (state.levels().platesCovered()) {
            case YES -> GateOutcome.OPEN;
            case NO ->
                GateOutcome.shut(
                        Message.of(
                                "gate.PLATES_COVERED.shut",
                                battery.code(),
                                new Cells(state.levels().bare())),
                        Message.of("gate.PLATES_COVERED.remedy"),
                        "cover-plates",
                        new Figure("barePlates", new Cells(state.levels().bare())));
            case UNKNOWN -> new GateOutcome.Unknown(Message.of("gate.PLATES_COVERED.unknown", battery.code()));
        };
    }

    /** A cell over its mark overflows as soon as it gasses. */
    static GateOutcome notOverMark(Subject battery) {
        List<Integer> over = battery.state().levels().over();
        return over.isEmpty()
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.NOT_OVER_MARK.shut", battery.code(), new Cells(over)),
                        Message.of("gate.NOT_OVER_MARK.remedy"),
                        "draw-off",
                        new Figure("overMark", new Cells(over)));
    }

    static GateOutcome of(Answer answer, GateOutcome shut, Message look) {
        return answer.isYes() ? GateOutcome.OPEN : answer.isNo() ? shut : new GateOutcome.Unknown(look);
    }
}
