package org.ostendum.app.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Adding;
import org.ostendum.app.form.Constraints;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Machines and where they park. */
@Controller
class MachineSetup {
    private static final Constraints CONSTRAINTS =
            new Constraints(Map.of("machine_code_once", "code", "machine_slot", "slot"));

    private final Machines machines;
    private final Rooms rooms;

    MachineSetup(Machines machines, Rooms rooms) {
        this.machines = machines;
        this.rooms = rooms;
    }

    @GetMapping("/setup/machines")
    String list(Words words, Model page) {
        return show(null, FormView.of(MachineForm.BLANK), words, page);
    }

    @GetMapping("/setup/machines/{machine}")
    String one(Machine machine, Words words, Model page) {
        return show(machine, FormView.of(formOf(machine)), words, page);
    }

    private MachineForm formOf(Machine machine) {
        return MachineForm.of(machine, machines.version(machine.id()));
    }

    private String show(@Nullable Machine machine, FormView form, Words words, Model page) {
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
    Object add(
            @Validated(Adding.class) @ModelAttribute("form") MachineForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        check(form, errors);
        if (!errors.hasErrors()) {
            CONSTRAINTS.keep(errors, () -> machines.add(form.machine(0, form.code())));
        }
        return done(null, form, errors, words, page, flash);
    }

    @PostMapping("/setup/machines/{machine}")
    Object change(
            Machine machine,
            @Validated @ModelAttribute("form") MachineForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        check(form, errors);
        if (!errors.hasErrors()) {
            CONSTRAINTS.keep(errors, () -> {
                if (!machines.change(form.machine(machine.id(), machine.code()), form.version())) {
                    FormView.clash(
                            errors, formOf(machines.byCode(machine.code()).orElseThrow()), "code");
                }
            });
        }
        return done(machine, form, errors, words, page, flash);
    }

    private static void check(@Nullable MachineForm form, BindingResult errors) {
        if (form != null && form.isPlateUpsideDown()) {
            Faults.tell(errors, "to", "fault.plate");
        }
    }

    private Object done(
            @Nullable Machine machine,
            @Nullable MachineForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (form == null || errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(machine, FormView.of(errors, words), words, page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", machine == null ? form.code() : machine.code()));
        return "redirect:/setup/machines";
    }
}
