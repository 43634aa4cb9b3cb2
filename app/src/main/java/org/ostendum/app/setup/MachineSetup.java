package org.ostendum.app.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.Option;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.words.Words;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Machines and where they park. */
@Controller
class MachineSetup {
    private final Machines machines;
    private final Rooms rooms;

    MachineSetup(Machines machines, Rooms rooms) {
        this.machines = machines;
        this.rooms = rooms;
    }

    @GetMapping("/setup/machines")
    String list(Words words, Model page) {
        return show(null, TypedForm.of(words), words, page);
    }

    @GetMapping("/setup/machines/{code}")
    String one(@PathVariable String code, Words words, Model page) {
        Machine machine = find(code);
        TypedForm form = TypedForm.of(
                words,
                "code",
                machine.code(),
                "name",
                machine.name(),
                "kind",
                machine.kind().name(),
                "from",
                Objects.toString(machine.weightFromKg(), ""),
                "to",
                Objects.toString(machine.weightToKg(), ""),
                "volts",
                Objects.toString(machine.volts(), ""),
                "connector",
                machine.connector(),
                "slot",
                Objects.toString(machine.slotId(), ""));
        return show(machine, form, words, page);
    }

    private String show(@Nullable Machine machine, TypedForm form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("machine", machine);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("machines", machines.all());
        page.addAttribute("kinds", Option.of(MachineKind.class, words));
        List<Option> slots = new ArrayList<>(rooms.freeSlots().stream()
                .map(s -> new Option(String.valueOf(s.id()), s.place()))
                .toList());
        if (machine != null && machine.slotId() != null) {
            slots.add(0, new Option(machine.slotId().toString(), Objects.toString(machine.place(), "")));
        }
        page.addAttribute("slots", slots);
        return "setup/machines";
    }

    @PostMapping("/setup/machines")
    Object add(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        return keep(null, typed, words, page, flash);
    }

    @PostMapping("/setup/machines/{code}")
    Object change(
            @PathVariable String code,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        typed.put("code", code);
        return keep(find(code), typed, words, page, flash);
    }

    private Object keep(
            @Nullable Machine was, Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Optional<Machine> read = read(form, was == null ? 0 : was.id());
        if (read.isPresent() && form.isSound()) {
            try {
                if (was == null) {
                    machines.add(read.get());
                } else {
                    machines.change(read.get());
                }
                flash.addFlashAttribute(
                        "told", words.text("setup.kept", read.get().code()));
                return "redirect:/setup/machines";
            } catch (DuplicateKeyException e) {
                boolean slot = String.valueOf(e.getMessage()).contains("machine_slot_once");
                form.fault(slot ? "slot" : "code", slot ? "fault.slot.taken" : "fault.taken", form.get("code"));
            }
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(was, form, words, page), page);
    }

    private static Optional<Machine> read(TypedForm form, long id) {
        String code = form.code("code");
        String name = form.text("name", 80);
        Optional<MachineKind> kind = form.choice("kind", MachineKind.class);
        OptionalInt from = form.wholeIfTyped("from", 1, 5000);
        OptionalInt to = form.wholeIfTyped("to", 1, 5000);
        if (from.isPresent() && to.isPresent() && from.getAsInt() > to.getAsInt()) {
            form.fault("to", "fault.plate");
        }
        OptionalInt volts = form.wholeIfTyped("volts", 2, 288);
        String connector = form.textIfTyped("connector", 40);
        Long slot = form.id("slot");
        return kind.map(k -> new Machine(
                id,
                code,
                name,
                k,
                from.isPresent() ? (Integer) from.getAsInt() : null,
                to.isPresent() ? (Integer) to.getAsInt() : null,
                volts.isPresent() ? (Integer) volts.getAsInt() : null,
                connector,
                slot,
                null));
    }

    private Machine find(String code) {
        return machines.byCode(code).orElseThrow(() -> new NotFound("machine " + code));
    }
}
