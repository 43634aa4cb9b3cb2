package org.ostendum.app.setup;

import java.time.LocalDate;
import java.time.ZoneId;
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
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryChanges;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Adding batteries and changing where they stand and who waters them. */
@Controller
class BatterySetup {
    private static final Constraints CONSTRAINTS = new Constraints(Map.of(
            "battery_code_once", "code",
            "battery_serial_once", "serial",
            "battery_slot", "slot",
            "battery_machine", "machine",
            "battery_water_owner", "water"));

    private final Batteries batteries;
    private final Models models;
    private final Machines machines;
    private final Rooms rooms;
    private final People people;
    private final BatteryChanges changes;
    private final TransactionTemplate transaction;
    private final ZoneId zone;

    BatterySetup(
            Batteries batteries,
            Models models,
            Machines machines,
            Rooms rooms,
            People people,
            BatteryChanges changes,
            TransactionTemplate transaction,
            ZoneId zone) {
        this.batteries = batteries;
        this.models = models;
        this.machines = machines;
        this.rooms = rooms;
        this.people = people;
        this.changes = changes;
        this.transaction = transaction;
        this.zone = zone;
    }

    @GetMapping("/setup/batteries")
    String list(Words words, Model page) {
        return show(null, FormView.of(BatteryForm.blank(LocalDate.ofInstant(words.now(), zone))), page);
    }

    @GetMapping("/setup/batteries/{battery}")
    String one(Battery battery, Model page) {
        return show(battery, FormView.of(formOf(battery)), page);
    }

    private BatteryForm formOf(Battery battery) {
        return BatteryForm.of(battery, batteries.version(battery.id()));
    }

    private String show(@Nullable Battery battery, FormView form, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("view", view(battery));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "setup/batteries";
    }

    private BatteriesView view(@Nullable Battery battery) {
        List<Option> ofModels = models.all().stream()
                .map(m -> new Option(String.valueOf(m.id()), m.code()))
                .toList();
        List<Option> ofMachines = machines.all().stream()
                .map(m -> new Option(String.valueOf(m.id()), m.code() + ", " + m.name()))
                .toList();
        List<Option> ofPeople = people.all().stream()
                .filter(Person::active)
                .map(p -> new Option(String.valueOf(p.id()), p.name()))
                .toList();
        return new BatteriesView(battery, batteries.all(), ofModels, slots(battery), ofMachines, ofPeople);
    }

    private List<Option> slots(@Nullable Battery battery) {
        List<Option> slots = new ArrayList<>(rooms.freeSlots().stream()
                .map(s -> new Option(String.valueOf(s.id()), s.place()))
                .toList());
        if (battery != null && battery.slotId() != null) {
            slots.add(0, new Option(battery.slotId().toString(), Objects.toString(battery.place(), "")));
        }
        return slots;
    }

    @PostMapping("/setup/batteries")
    Object add(
            @Validated(Adding.class) @ModelAttribute("form") BatteryForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        check(null, form, errors);
        if (!errors.hasErrors()) {
            CONSTRAINTS.keep(errors, () -> transaction.executeWithoutResult(status -> add(form, person)));
        }
        return done(null, form, errors, words, page, flash);
    }

    private void add(BatteryForm form, Person person) {
        Battery came = changes.arrive(
                new BatteryChanges.Arrival(
                        form.code(),
                        form.serial(),
                        Objects.requireNonNull(form.model()),
                        form.made(),
                        form.inService(),
                        form.cameDry()),
                person);
        batteries.place(came.id(), form.slot(), form.machine());
        batteries.nameWaterOwner(came.id(), form.water());
    }

    @PostMapping("/setup/batteries/{battery}")
    Object change(
            Battery battery,
            @Validated @ModelAttribute("form") BatteryForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        check(battery, form, errors);
        if (!errors.hasErrors()) {
            CONSTRAINTS.keep(
                    errors,
                    () -> transaction.executeWithoutResult(status -> change(battery, form, errors, person, words)));
        }
        return done(battery, form, errors, words, page, flash);
    }

    private void change(Battery was, BatteryForm form, BindingResult errors, Person person, Words words) {
        if (!batteries.change(was.id(), form.version(), form.serial(), form.made(), form.inService())) {
            FormView.clash(errors, formOf(batteries.byId(was.id()).orElseThrow()));
            return;
        }
        batteries.nameWaterOwner(was.id(), form.water());
        changes.place(was, form.slot(), form.machine(), person);
        Long modelId = form.model();
        if (modelId != null && modelId != was.type().id()) {
            StoredModel model = models.byId(modelId).orElseThrow();
            changes.remodel(
                    was, model, words.text("battery.remodelled", was.type().code(), model.code()), person);
        }
        if (!form.code().equals(was.code())) {
            changes.rename(was, form.code(), words.text("battery.renamed", was.code(), form.code()), person);
        }
    }

    /** What no single field shows; a form that could not be read has been told of already. */
    private void check(@Nullable Battery was, @Nullable BatteryForm form, BindingResult errors) {
        if (form == null) {
            return;
        }
        checkModel(was, form, errors);
        if (form.made() != null && form.inService() != null && form.inService().isBefore(form.made())) {
            Faults.tell(errors, "inService", "fault.date.order", form.inService(), form.made());
        }
        if (form.slot() != null && form.machine() != null) {
            Faults.tell(errors, "machine", "fault.two-places");
        }
    }

    /** A battery keeps its cells: readings of a cell that it has no more would be of nothing. */
    private void checkModel(@Nullable Battery was, BatteryForm form, BindingResult errors) {
        if (form.model() == null) {
            return;
        }
        StoredModel model = models.byId(form.model()).orElse(null);
        if (model == null) {
            Faults.tell(errors, "model", "fault.choose");
        } else if (was != null && model.model().cells() != was.type().model().cells()) {
            Faults.tell(
                    errors,
                    "model",
                    "fault.model.cells",
                    model.code(),
                    model.model().cells(),
                    was.code(),
                    was.type().model().cells());
        }
    }

    private Object done(
            @Nullable Battery battery,
            @Nullable BatteryForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (form == null || errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, FormView.of(errors, words), page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.code()));
        return "redirect:/setup/batteries";
    }
}
