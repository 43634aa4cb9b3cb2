package org.ostendum.app.wiring;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.StepText;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.wiring.Cable;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Post;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Wiring;
import org.ostendum.core.wiring.WorkOrder;

/** Puts the cables of the very pack into the procedures of taking apart and putting together, in a school's order. */
public final class PackSteps {
    static final String APART = "pack-apart";
    static final String TOGETHER = "pack-together";
    static final Set<String> PROCEDURES = Set.of(APART, TOGETHER);
    /** Answer to a cable's step: a new one was put on. */
    static final String NEW = "new";

    private static final String CABLE = "cable-";
    private static final List<ProcedureFile.AnswerText> STATES = List.of(
            new ProcedureFile.AnswerText("sound", "Off, sound", null, null, null),
            new ProcedureFile.AnswerText("green", "Off, green growth", null, null, null),
            new ProcedureFile.AnswerText("thinned", "Off, thinned", null, null, null),
            new ProcedureFile.AnswerText("rotted", "Off, rotted inside", null, null, null),
            new ProcedureFile.AnswerText("broken", "Off, broken", null, null, null));

    private PackSteps() {}

    /** @return whether a procedure is about the cables of a pack */
    static boolean isOfPack(String procedure) {
        return PROCEDURES.contains(procedure);
    }

    /** @return the procedure with a step for each cable; the same for one of another kind */
    static ProcedureFile with(String procedure, ProcedureFile file, Pack pack, School school, AmpHours capacity) {
        return switch (procedure) {
            case APART ->
                file.withAfter("tools", apart(WorkOrder.apart(pack, school, capacity)))
                        .withAfter("tools", FittingSteps.off(pack));
            case TOGETHER ->
                file.withAfter("posts", together(WorkOrder.together(pack, school, capacity)))
                        .withAfter("hold-down", FittingSteps.on(pack));
            default -> file;
        };
    }

    private static List<StepText> apart(WorkOrder order) {
        return order.steps().stream()
                .map(step -> StepText.chosen(
                        CABLE + step.cable().number(),
                        "Cable " + step.cable().number() + " off: " + where(step.cable()) + ". Into the bag."
                                + FittingSteps.lifted(step),
                        reach(step),
                        STATES))
                .toList();
    }

    /** The voltmeter comes before the last link: until then a slip drives no current. */
    private static List<StepText> together(WorkOrder order) {
        int last = lastLink(order);
        List<StepText> steps = new ArrayList<>();
        for (int i = 0; i < order.steps().size(); i++) {
            WorkOrder.Step step = order.steps().get(i);
            if (i == last) {
                steps.add(StepText.inRows(
                        "volts",
                        "Read each block from the post where the drawing has its plus to its minus, then the string over the gap of cable "
                                + step.cable().number() + ".",
                        "The string must be the sum of its blocks. A block that reads minus is turned round.",
                        Task.Rows.Kind.BLOCK_VOLTS));
            }
            steps.add(StepText.chosen(
                    CABLE + step.cable().number(),
                    "Cable " + step.cable().number() + " on: " + where(step.cable()) + "." + FittingSteps.covered(step),
                    reach(step),
                    List.of(
                            new ProcedureFile.AnswerText("on", joins(step.cable()), null, null, null),
                            new ProcedureFile.AnswerText(NEW, "On, and it is a new one", null, null, null),
                            new ProcedureFile.AnswerText(
                                    "like", "It would not go on as drawn", null, "polarity", null))));
        }
        return steps;
    }

    private static int lastLink(WorkOrder order) {
        int last = 0;
        for (int i = 0; i < order.steps().size(); i++) {
            if (order.steps().get(i).cable().kind() == Cable.Kind.LINK) {
                last = i;
            }
        }
        return last;
    }

    private static String joins(Cable cable) {
        return cable.kind() == Cable.Kind.LINK ? "On: it joins + to −, as drawn" : "On, as drawn";
    }

    private static String reach(WorkOrder.Step step) {
        return "While you are at it a tool can bridge " + volts(step.before().voltage()) + " and "
                + step.before().amperes() + " A; after it " + volts(step.after().voltage()) + ".";
    }

    private static String volts(Volts volts) {
        return BigDecimal.valueOf(volts.millivolts(), 3).setScale(1, RoundingMode.HALF_UP) + " V";
    }

    /** "block 3 − to block 4 +" */
    public static String where(Cable cable) {
        Post to = cable.to();
        String from = where(cable.from());
        return to == null ? from + " to its lead" : from + " to " + where(to);
    }

    static String where(Post post) {
        String sign = post.positive() ? " +" : " −";
        return (post.isPlug() ? "the plug" : "block " + post.place()) + sign;
    }

    /** @return how the pack is wired as a run stands */
    static Wiring wiring(Run run, Pack pack) {
        boolean putsOn = run.procedure().id().equals(TOGETHER);
        Wiring now = putsOn ? Wiring.bare(pack) : Wiring.whole(pack);
        if (run.settled(FittingSteps.MAIN_SWITCH).isPresent() != putsOn) {
            now = now.switchedOff();
        }
        for (Cable cable : pack.cables()) {
            if (run.settled(CABLE + cable.number()).isPresent()) {
                now = putsOn ? now.with(cable) : now.without(cable.number());
            }
        }
        return now.workedOn(run.current().map(step -> cable(step.id())).orElse(null));
    }

    /** @return what was said of a cable: how it came off, or that a new one went on; empty where nothing is to be told */
    static String told(String said) {
        return Set.of("", "sound", "on", "like").contains(said) ? "" : said;
    }

    /** @return what a run says of a cable, empty for nothing to be told */
    static String told(Run run, Cable cable) {
        return told(run.value(CABLE + cable.number()));
    }

    /** @return the cable of a step; null for a step about something else */
    static @Nullable String cable(String stepId) {
        return stepId.startsWith(CABLE) ? stepId.substring(CABLE.length()) : null;
    }
}
