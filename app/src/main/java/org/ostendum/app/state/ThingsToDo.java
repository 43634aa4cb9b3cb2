package org.ostendum.app.state;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;

/** What is to be done at many batteries. */
public final class ThingsToDo {
    private ThingsToDo() {}

    private record At(Battery battery, NextThing thing) {}

    /** @return most urgent first; of a room that reads low the hydrometer is compared once, and that serves all its batteries */
    public static List<NextThing> of(Collection<Battery> batteries, Function<Battery, List<NextThing>> things) {
        Set<String> compared = new HashSet<>();
        return batteries.stream()
                .flatMap(battery -> things.apply(battery).stream().map(thing -> new At(battery, thing)))
                .sorted(Comparator.comparing(At::thing, NextThing.MOST_URGENT))
                .filter(at -> at.thing().step() != NextStep.COMPARE_HYDROMETER
                        || compared.add(String.valueOf(at.battery().roomCode())))
                .map(At::thing)
                .toList();
    }
}
