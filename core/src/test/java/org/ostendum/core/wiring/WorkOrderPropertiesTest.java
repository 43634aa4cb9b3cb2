package org.ostendum.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.quantity.AmpHours;

/** What the graph says, against the node equations; and orders walked both ways. */
class WorkOrderPropertiesTest {
    private static final AmpHours SIZE = AmpHours.of(170);

    private static Pack pack(int blocks, int cells, List<Tap> taps) {
        return Pack.of(LayoutText.parse(UsualLayout.text(blocks, UsualLayout.rows(blocks), cells), cells), taps);
    }

    private static Pack pack(int blocks, int kind) {
        int cells = List.of(3, 4, 6).get(kind);
        return pack(blocks, cells, blocks > 2 ? List.of(new Tap("lights", 1, 2)) : List.of());
    }

    private static void agrees(Wiring wiring) {
        double volts = 2.12 * wiring.pack().layout().cellsPerCase();
        NodalSolve solved = new NodalSolve(wiring, volts);
        Potentials graph = Potentials.of(wiring);
        double highest = 0;
        for (List<Post> piece : graph.livePieces()) {
            for (Post one : piece) {
                for (Post other : piece) {
                    double said = graph.between(one, other).orElseThrow().volts();
                    assertThat(said).isCloseTo(solved.between(one, other), within(0.02));
                    if (wiring.isBare(one) && wiring.isBare(other)) {
                        highest = Math.max(highest, solved.between(one, other));
                    }
                }
            }
        }
        assertThat(graph.reach(SIZE).voltage().volts()).isCloseTo(highest, within(0.02));
    }

    @Property(tries = 60)
    void everyStepOfEverySchoolAgreesWithTheNodeEquations(
            @ForAll @IntRange(min = 1, max = 8) int blocks, @ForAll @IntRange(min = 0, max = 2) int kind) {
        everyStepAgrees(pack(blocks, kind));
    }

    /** With a main switch, a fuse, sense leads and shrouds wherever they can be. */
    @Property(tries = 60)
    void everyStepOfAFittedPackAgreesWithTheNodeEquations(
            @ForAll @IntRange(min = 1, max = 6) int blocks, @ForAll long seed) {
        everyStepAgrees(fitted(pack(blocks, 1), new Random(seed)));
    }

    private static Pack fitted(Pack bare, Random random) {
        List<Fitting> some = Fitting.possible(bare).stream()
                .filter(fitting -> random.nextInt(fitting.kind() == Fitting.Kind.SHROUD ? 2 : 6) == 0)
                .toList();
        return Pack.of(bare.layout(), bare.taps(), some);
    }

    private static void everyStepAgrees(Pack pack) {
        for (School school : School.values()) {
            WorkOrder apart = WorkOrder.apart(pack, school, SIZE);
            WorkOrder together = WorkOrder.together(pack, school, SIZE);
            for (int i = 0; i <= apart.steps().size(); i++) {
                agrees(apart.after(pack, false, i));
                agrees(together.after(pack, true, i));
            }
            List<Reach> down = new ArrayList<>(
                    apart.steps().stream().map(WorkOrder.Step::after).toList());
            down.add(0, apart.start());
            Collections.reverse(down);
            List<Integer> up =
                    new ArrayList<>(List.of(together.start().voltage().millivolts()));
            together.steps().forEach(step -> up.add(step.after().voltage().millivolts()));
            assertThat(up)
                    .isEqualTo(down.stream().map(r -> r.voltage().millivolts()).toList());
        }
    }

    /** Cables off at random and blocks turned round at random: still the same as the node equations. */
    @Property(tries = 200)
    void anyWiringAgreesWithTheNodeEquations(@ForAll @IntRange(min = 2, max = 10) int blocks, @ForAll long seed) {
        Random random = new Random(seed);
        Pack pack = pack(blocks, random.nextInt(3));
        Wiring wiring = Wiring.whole(pack);
        for (Cable cable : pack.cables()) {
            wiring = random.nextInt(3) == 0 ? wiring.without(cable.number()) : wiring;
        }
        for (int block = 1; block <= blocks; block++) {
            wiring = random.nextInt(4) == 0 ? wiring.with(block, -1) : wiring;
        }
        agrees(wiring);
    }

    /** No order of a pack is better than the searched one: all of them are walked. */
    @Property(tries = 12)
    void noOrderBeatsTheLeast(@ForAll @IntRange(min = 2, max = 5) int blocks) {
        Pack pack = pack(blocks, 4, List.of());
        List<Integer> least = spent(pack, order(WorkOrder.apart(pack, School.LEAST, SIZE)));
        for (List<Cable> order : permutations(pack.cables())) {
            assertThat(compare(least, spent(pack, order))).isLessThanOrEqualTo(0);
        }
    }

    @Property(tries = 40)
    void noOrderOfAFittedPackBeatsTheLeast(@ForAll @IntRange(min = 1, max = 4) int blocks, @ForAll long seed) {
        Random random = new Random(seed);
        List<Fitting> some = Fitting.possible(pack(blocks, 4, List.of())).stream()
                .filter(fitting -> fitting.kind() != Fitting.Kind.SENSE_LEAD && random.nextInt(2) == 0)
                .toList();
        Pack pack = Pack.of(pack(blocks, 4, List.of()).layout(), List.of(), some);
        List<Integer> least = spent(pack, order(WorkOrder.apart(pack, School.LEAST, SIZE)));
        for (List<Cable> order : permutations(pack.cables())) {
            assertThat(compare(least, spent(pack, order))).isLessThanOrEqualTo(0);
        }
    }

    private static List<Cable> order(WorkOrder order) {
        return order.steps().stream().map(WorkOrder.Step::cable).toList();
    }

    /** Minutes at each voltage, the highest first. */
    private static List<Integer> spent(Pack pack, List<Cable> order) {
        int[] minutes = new int[pack.blocks() + 1];
        Wiring now = Wiring.whole(pack).switchedOff();
        double block = 2.12 * pack.layout().cellsPerCase();
        for (Cable cable : order) {
            minutes[(int) Math.round(Potentials.of(now.workedOn(cable.number())).highest() / block)] +=
                    (int) WorkOrder.takes(cable).toMinutes();
            now = now.without(cable.number());
        }
        List<Integer> spent = new ArrayList<>();
        for (int level = minutes.length - 1; level >= 0; level--) {
            spent.add(minutes[level]);
        }
        return spent;
    }

    private static int compare(List<Integer> one, List<Integer> other) {
        for (int i = 0; i < one.size(); i++) {
            if (!one.get(i).equals(other.get(i))) {
                return one.get(i) - other.get(i);
            }
        }
        return 0;
    }

    private static List<List<Cable>> permutations(List<Cable> of) {
        if (of.isEmpty()) {
            return List.of(List.of());
        }
        List<List<Cable>> all = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            List<Cable> rest = new ArrayList<>(of);
            Cable first = rest.remove(i);
            for (List<Cable> tail : permutations(rest)) {
                List<Cable> order = new ArrayList<>(List.of(first));
                order.addAll(tail);
                all.add(order);
            }
        }
        return all;
    }
}
