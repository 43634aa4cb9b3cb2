package org.ostendum.app.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Step;

/** Blocks of a pack that change places in a job: a step for each pair, which its name tells. */
public final class Swaps {
    private static final Pattern SWAP = Pattern.compile("swap-(\\d+)-(\\d+)-of-(\\d+)");

    private Swaps() {}

    /** @return name of the step in which two blocks of a pack change places */
    public static String step(int one, int other, int blocks) {
        return "swap-" + one + "-" + other + "-of-" + blocks;
    }

    /** @return the place from which the block now in each place came; none where no blocks have changed places */
    public static List<Integer> of(Run run) {
        List<Integer> from = new ArrayList<>();
        for (Step step : run.way()) {
            Matcher swap = SWAP.matcher(step.id());
            if (swap.matches() && isDone(run, step)) {
                if (from.isEmpty()) {
                    IntStream.rangeClosed(1, Integer.parseInt(swap.group(3))).forEach(from::add);
                }
                Collections.swap(from, Integer.parseInt(swap.group(1)) - 1, Integer.parseInt(swap.group(2)) - 1);
            }
        }
        return from;
    }

    private static boolean isDone(Run run, Step step) {
        return run.settled(step.id())
                .filter(event -> event.kind() != RunEvent.Kind.SKIPPED)
                .isPresent();
    }
}
