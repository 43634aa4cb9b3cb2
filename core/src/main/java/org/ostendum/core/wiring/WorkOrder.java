package org.ostendum.core.wiring;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.OutOfRange;

/**
 * The order in which a pack's cables come off or go on, with what can still be reached after each. No step is in it of which that has
 * not been worked out.
 *
 * @param start what can be reached before the first step, the main switch off
 */
public record WorkOrder(School school, Reach start, List<Step> steps) {
    /** Packs up to this size are searched through; larger ones are trays of cells, which come out as one. */
    public static final int MOST_BLOCKS = 12;
    /** With each lead more the search for the least order takes twice as long: so many take just under one second. */
    public static final int MOST_CABLES = 19;

    private static final Duration LINK = Duration.ofMinutes(3);
    private static final Duration LEAD = Duration.ofMinutes(1);

    public WorkOrder {
        steps = List.copyOf(steps);
    }

    /**
     * One cable off or on.
     *
     * @param before what can be reached while it is worked on
     * @param after what can be reached then
     * @param shrouds posts whose shroud comes off before it, or goes on after it
     */
    public record Step(Cable cable, Reach before, Reach after, Duration takes, List<Post> shrouds) {}

    /**
     * @param capacity of one block
     * @throws OutOfRange for a pack of more than 12 blocks or 19 cables
     */
    public static WorkOrder apart(Pack pack, School school, AmpHours capacity) {
        check(pack);
        return walked(school, order(pack, school), begun(pack, false), capacity, false);
    }

    /** The same order the other way round, every step worked out anew. */
    public static WorkOrder together(Pack pack, School school, AmpHours capacity) {
        check(pack);
        List<Cable> back = new ArrayList<>(order(pack, school));
        Collections.reverse(back);
        return walked(school, back, begun(pack, true), capacity, true);
    }

    private static void check(Pack pack) {
        OutOfRange.check("blocks", pack.blocks(), 1, MOST_BLOCKS);
        OutOfRange.check("cables", pack.cables().size(), 1, MOST_CABLES);
    }

    /** The main switch is off before the first cable is touched, and goes on after the last. */
    private static Wiring begun(Pack pack, boolean putsOn) {
        Wiring wiring = putsOn ? Wiring.bare(pack) : Wiring.whole(pack);
        return wiring.switchedOff();
    }

    private static List<Cable> order(Pack pack, School school) {
        return switch (school) {
            case NEGATIVE_FIRST -> negativeFirst(pack);
            case MIDDLE_FIRST -> middleFirst(pack);
            case LEAST -> LeastOrder.of(pack);
        };
    }

    private static List<Cable> negativeFirst(Pack pack) {
        List<Cable> order = new ArrayList<>();
        pack.cables().stream().filter(Cable::isLead).forEach(order::add);
        Collections.reverse(order);
        List<Cable> rest = new ArrayList<>(
                pack.cables().stream().filter(cable -> !cable.isLead()).toList());
        Collections.reverse(rest);
        order.addAll(rest);
        return order;
    }

    private static List<Cable> middleFirst(Pack pack) {
        List<Cable> order = negativeFirst(pack);
        pack.cable(String.valueOf(pack.blocks() / 2)).ifPresent(middle -> {
            order.remove(middle);
            order.add(0, middle);
        });
        return order;
    }

    private static WorkOrder walked(School school, List<Cable> order, Wiring from, AmpHours capacity, boolean putsOn) {
        List<Step> steps = new ArrayList<>();
        Wiring now = from;
        for (Cable cable : order) {
            Reach before = Potentials.of(now.workedOn(cable.number())).reach(capacity);
            List<Post> covered = putsOn ? List.of() : covered(now, cable);
            now = putsOn ? now.with(cable) : now.without(cable.number());
            List<Post> shrouds = putsOn ? covered(now, cable) : covered;
            steps.add(new Step(cable, before, Potentials.of(now).reach(capacity), takes(cable), shrouds));
        }
        return new WorkOrder(school, Potentials.of(from).reach(capacity), steps);
    }

    private static List<Post> covered(Wiring wiring, Cable cable) {
        return cable.posts().stream().filter(post -> !wiring.isBare(post)).toList();
    }

    static Duration takes(Cable cable) {
        return cable.isLead() ? LEAD : LINK;
    }

    /** @return how the pack is wired after so many of the steps */
    public Wiring after(Pack pack, boolean putsOn, int settled) {
        Wiring now = begun(pack, putsOn);
        for (Step step : steps.subList(0, settled)) {
            now = putsOn ? now.with(step.cable()) : now.without(step.cable().number());
        }
        return now;
    }

    /** @return volts times minutes over the whole of it: what the schools are compared by */
    public double voltMinutes() {
        return steps.stream()
                .mapToDouble(
                        step -> step.before().voltage().volts() * step.takes().toMinutes())
                .sum();
    }
}
