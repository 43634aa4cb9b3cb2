package org.ostendum.app.change;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.past.PastOfPlaces;
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
    private final Pool pool;
    private final ChangesMade changes;
    private final PastOfPlaces past;

    ChangeController(Machines machines, Batteries batteries, Pool pool, ChangesMade changes, PastOfPlaces past) {
        this.machines = machines;
        this.batteries = batteries;
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
        ChangeView view = new ChangeView(
                machine,
                batteries.inMachine(machine.id()).orElse(null),
                pool.rank(machine, person),
                pool.ofOtherVoltage(machine),
                changes.of(machine),
                changes.underWay(machine).orElse(null),
                past.ofMachine(code));
        page.addAttribute("place", "room");
        page.addAttribute("view", view);
        return "change/change";
    }
}
