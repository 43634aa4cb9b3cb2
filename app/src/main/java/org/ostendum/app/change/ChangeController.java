package org.ostendum.app.change;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.past.PastOfPlaces;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.change.Choosing;
import org.ostendum.core.change.Choosing.Ranked;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Which battery goes into a machine, each with what speaks for or against it; and all machines, with what is in them. */
@Controller
class ChangeController {
    private final Machines machines;
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final Pool pool;
    private final ChangesMade changes;
    private final PastOfPlaces past;

    ChangeController(
            Machines machines,
            Batteries batteries,
            BatteryStates batteryStates,
            Pool pool,
            ChangesMade changes,
            PastOfPlaces past) {
        this.machines = machines;
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.pool = pool;
        this.changes = changes;
        this.past = past;
    }

    /** A machine with the battery in it; null for none. */
    record Standing(Machine machine, @Nullable Battery battery) {}

    @GetMapping("/machines")
    String machines(Model page) {
        List<Battery> all = batteries.all();
        page.addAttribute("place", "room");
        page.addAttribute(
                "machines",
                machines.all().stream()
                        .map(m -> new Standing(
                                m,
                                all.stream()
                                        .filter(b -> m.code().equals(b.machineCode()))
                                        .findFirst()
                                        .orElse(null)))
                        .toList());
        return "change/machines";
    }

    @GetMapping("/machines/{code}")
    String change(@PathVariable String code, Person person, Model page) {
        Machine machine = machines.byCode(code).orElseThrow(() -> new NotFound("machine " + code));
        List<Ranked> ranked = pool.rank(machine, person);
        Optional<Battery> inIt = batteries.inMachine(machine.id());
        page.addAttribute("place", "room");
        page.addAttribute("machine", machine);
        page.addAttribute("inIt", inIt.orElse(null));
        page.addAttribute("state", inIt.map(batteryStates::stateOf).orElse(null));
        List<ChangesMade.Made> made = changes.of(machine);
        page.addAttribute("made", made);
        page.addAttribute("underWay", changes.underWay(machine).orElse(null));
        page.addAttribute("usual", ChangesMade.usualMinutes(made).orElse(null));
        page.addAttribute("otherVolts", pool.ofOtherVoltage(machine));
        page.addAttribute("held", past.ofMachine(code));
        page.addAttribute("first", Choosing.first(ranked).orElse(null));
        page.addAttribute("may", ranked.stream().filter(Ranked::may).toList());
        page.addAttribute(
                "mayNot",
                ranked.stream()
                        .filter(r -> !r.may() && r.pooled().inMachine() == null)
                        .toList());
        page.addAttribute(
                "inOthers",
                ranked.stream().filter(r -> r.pooled().inMachine() != null).toList());
        return "change/change";
    }
}
