package org.ostendum.app.wiring;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.ostendum.app.procedure.StepText;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Post;
import org.ostendum.core.wiring.WorkOrder;

/** What is done with switch, fuses and shrouds of a pack before, amid and after its cables. */
final class FittingSteps {
    static final String MAIN_SWITCH = "main-switch";

    private FittingSteps() {}

    /** @return before the first cable comes off; none for a pack without */
    static List<StepText> off(Pack pack) {
        List<StepText> steps = new ArrayList<>();
        pack.switched()
                .ifPresent(cable -> steps.add(StepText.held(
                                MAIN_SWITCH,
                                "Main switch off, in cable " + cable.number() + ".",
                                "Off, and nobody can put it on")
                        .because("The plug is dead then. The blocks and every link stay live.")));
        fuses(pack)
                .forEach(at -> steps.add(
                        StepText.held("fuse-" + at, "Take the fuse out of cable " + at + ".", "Out and in the bag")));
        return steps;
    }

    /** @return after the last cable is on and tight */
    static List<StepText> on(Pack pack) {
        List<StepText> steps = new ArrayList<>();
        fuses(pack)
                .forEach(at -> steps.add(StepText.held(
                        "fuse-" + at,
                        "Put the fuse back into cable " + at + ".",
                        "In, of the size that its holder names")));
        pack.switched()
                .ifPresent(cable -> steps.add(StepText.held(
                        MAIN_SWITCH, "Main switch on, in cable " + cable.number() + ".", "On, and nothing sparked")));
        return Collections.unmodifiableList(steps);
    }

    private static List<String> fuses(Pack pack) {
        return pack.fittings().stream()
                .filter(fitting -> fitting.kind() == Fitting.Kind.FUSE)
                .map(Fitting::at)
                .toList();
    }

    /** @return which shrouds come off for a step, to be put behind its words; empty for none */
    static String lifted(WorkOrder.Step step) {
        return step.shrouds().isEmpty() ? "" : " Lift the shroud of " + posts(step) + " first.";
    }

    /** @return which shrouds go on after a step */
    static String covered(WorkOrder.Step step) {
        return step.shrouds().isEmpty() ? "" : " Then the shroud over " + posts(step) + ".";
    }

    private static String posts(WorkOrder.Step step) {
        List<Post> posts = step.shrouds();
        return posts.stream().map(PackSteps::where).collect(Collectors.joining(" and "));
    }
}
