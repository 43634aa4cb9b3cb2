package org.ostendum.app.change;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Sizes;
import org.ostendum.app.job.Situations;
import org.ostendum.app.ledger.RecentCharges;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.change.Choosing;
import org.ostendum.core.change.Choosing.Pooled;
import org.ostendum.core.change.Choosing.Ranked;
import org.ostendum.core.life.BreakIn;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** The batteries of the house in the order in which they should go into a machine. */
@Service
class Pool {
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final RecentCharges recentCharges;
    private final Situations situations;
    private final Sizes sizes;

    Pool(
            Batteries batteries,
            BatteryStates batteryStates,
            RecentCharges recentCharges,
            Situations situations,
            Sizes sizes) {
        this.sizes = sizes;
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.recentCharges = recentCharges;
        this.situations = situations;
    }

    /** @return every battery of the machine's voltage that is not in it, the one to take first in front */
    List<Ranked> rank(Machine machine, Person person) {
        List<Battery> pool = batteries.all().stream()
                .filter(b -> !machine.code().equals(b.machineCode()) && isOfVoltage(b, machine))
                .toList();
        Map<Long, BatteryState> states = batteryStates.statesOf(pool);
        Map<Long, Integer> cycles =
                recentCharges.cyclesOf(pool.stream().map(Battery::id).toList());
        Map<Long, CaseSize> measured = sizes.ofModels();
        Situation situation = situations.of(Training.CHANGING, null, machine, person);
        return Choosing.rank(
                situation,
                pool.stream()
                        .map(b -> new Pooled(
                                Situations.subject(
                                        b,
                                        Objects.requireNonNull(states.get(b.id())),
                                        measured.get(b.type().id())),
                                b.machineCode(),
                                cycles.getOrDefault(b.id(), 0),
                                breakIn(b, Objects.requireNonNull(states.get(b.id())), situation.today())))
                        .toList());
    }

    private static @Nullable BreakIn breakIn(Battery battery, BatteryState state, LocalDate today) {
        return BreakIn.of(
                        battery.inServiceOn(), today, state.charging().cycles().onRecord(), state.rules())
                .orElse(null);
    }

    /** @return codes of the batteries that no machine of this voltage takes, by their volts */
    Map<Integer, List<String>> ofOtherVoltage(Machine machine) {
        return batteries.all().stream()
                .filter(battery -> !isOfVoltage(battery, machine))
                .collect(Collectors.groupingBy(
                        battery -> battery.type().model().nominalVolts(),
                        TreeMap::new,
                        Collectors.mapping(Battery::code, Collectors.toList())));
    }

    private static boolean isOfVoltage(Battery battery, Machine machine) {
        return machine.volts() == null
                || machine.volts() == battery.type().model().nominalVolts();
    }
}
