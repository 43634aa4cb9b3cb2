package org.ostendum.app.past;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.history.Whereabouts;
import org.springframework.stereotype.Service;

/** Which battery was where, at any moment of the records. */
@Service
public class PastOfPlaces {
    private static final Pattern DIGITS = Pattern.compile("\\d+");

    private final Batteries batteries;
    private final Moves moves;
    private final WorkCosts costs;

    PastOfPlaces(Batteries batteries, Moves moves, WorkCosts costs) {
        this.batteries = batteries;
        this.moves = moves;
        this.costs = costs;
    }

    /** A battery in a place at a moment asked for. */
    public record Then(String place, Battery battery) {}

    /**
     * A battery in a machine for a time.
     *
     * @param from null from the beginning of the records
     * @param to null while it is in it
     * @param cost of work at it in that time; 0 for none on record
     */
    public record Held(Battery battery, @Nullable Instant from, @Nullable Instant to, double cost) {}

    /** @return the batteries that were in any place at a moment, by place */
    List<Then> at(Instant moment) {
        Map<Long, List<Whereabouts.Move>> all = moves.all();
        return batteries.all().stream()
                .flatMap(battery -> Whereabouts.of(all.getOrDefault(battery.id(), List.of()), battery.place())
                        .at(moment)
                        .map(place -> new Then(place, battery))
                        .stream())
                .sorted(Comparator.comparing((Then then) -> inOrder(then.place()))
                        .thenComparing(then -> then.battery().code()))
                .toList();
    }

    /** Place 2 before place 10. */
    private static String inOrder(String place) {
        return DIGITS.matcher(place)
                .replaceAll(number -> "0".repeat(Math.max(0, 6 - number.group().length())) + number.group());
    }

    /** @return batteries that a machine has had, the newest first */
    public List<Held> ofMachine(String machine) {
        Set<Long> touching = moves.touching(machine);
        List<Battery> asked = batteries.all().stream()
                .filter(b -> machine.equals(b.machineCode()) || touching.contains(b.id()))
                .toList();
        List<Long> ids = asked.stream().map(Battery::id).toList();
        Map<Long, List<Whereabouts.Move>> byBattery = moves.of(ids);
        List<WorkCosts.Cost> paid = costs.of(ids);
        List<Held> held = new ArrayList<>();
        for (Battery battery : asked) {
            Whereabouts.of(byBattery.getOrDefault(battery.id(), List.of()), battery.place())
                    .in(machine)
                    .forEach(stay -> held.add(
                            new Held(battery, stay.from(), stay.to(), cost(paid, battery, stay.from(), stay.to()))));
        }
        held.sort(Comparator.comparing((Held h) -> h.from() == null ? Instant.MIN : h.from())
                .reversed());
        return held;
    }

    private static double cost(
            List<WorkCosts.Cost> paid, Battery battery, @Nullable Instant from, @Nullable Instant to) {
        return paid.stream()
                .filter(cost -> cost.battery() == battery.id())
                .filter(cost -> from == null || !cost.at().isBefore(from))
                .filter(cost -> to == null || cost.at().isBefore(to))
                .mapToDouble(WorkCosts.Cost::amount)
                .sum();
    }
}
