package org.ostendum.app.setup;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.Option;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Person;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.BatteryEvent;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.node.ObjectNode;

/** Adding batteries and changing where they stand and who waters them. */
@Controller
class BatterySetup {
    private final Batteries batteries;
    private final Models models;
    private final Machines machines;
    private final Rooms rooms;
    private final People people;
    private final BatteryRecord batteryRecord;
    private final TransactionTemplate transaction;
    private final ZoneId zone;

    BatterySetup(
            Batteries batteries,
            Models models,
            Machines machines,
            Rooms rooms,
            People people,
            BatteryRecord batteryRecord,
            TransactionTemplate transaction,
            ZoneId zone) {
        this.batteries = batteries;
        this.models = models;
        this.machines = machines;
        this.rooms = rooms;
        this.people = people;
        this.batteryRecord = batteryRecord;
        this.transaction = transaction;
        this.zone = zone;
    }

    @GetMapping("/setup/batteries")
    String list(Words words, Model page) {
        return show(null, TypedForm.of(words, "inService", today(words).toString()), page);
    }

    @GetMapping("/setup/batteries/{code}")
    String one(@PathVariable String code, Words words, Model page) {
        Battery battery = find(code);
        return show(
                battery,
                TypedForm.of(
                        words,
                        "code",
                        battery.code(),
                        "serial",
                        battery.serial(),
                        "model",
                        String.valueOf(battery.type().id()),
                        "made",
                        Objects.toString(battery.madeOn(), ""),
                        "inService",
                        battery.inServiceOn().toString(),
                        "slot",
                        Objects.toString(battery.slotId(), ""),
                        "machine",
                        Objects.toString(battery.machineId(), ""),
                        "water",
                        Objects.toString(battery.waterOwnerId(), "")),
                page);
    }

    private String show(@Nullable Battery battery, TypedForm form, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("battery", battery);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("batteries", batteries.all());
        page.addAttribute(
                "models",
                models.all().stream()
                        .map(m -> new Option(String.valueOf(m.id()), m.code()))
                        .toList());
        page.addAttribute("slots", slots(battery));
        page.addAttribute(
                "machines",
                machines.all().stream()
                        .map(m -> new Option(String.valueOf(m.id()), m.code() + ", " + m.name()))
                        .toList());
        page.addAttribute(
                "people",
                people.all().stream()
                        .filter(Person::active)
                        .map(p -> new Option(String.valueOf(p.id()), p.name()))
                        .toList());
        return "setup/batteries";
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

    private record Read(
            String code,
            String serial,
            @Nullable Long modelId,
            @Nullable LocalDate made,
            @Nullable LocalDate inService,
            @Nullable Long slot,
            @Nullable Long machine,
            @Nullable Long water) {}

    private Read read(TypedForm form, LocalDate today) {
        Read read = new Read(
                form.code("code"),
                form.text("serial", 40),
                form.id("model"),
                form.day("made", today),
                form.day("inService", today),
                form.id("slot"),
                form.id("machine"),
                form.id("water"));
        if (read.modelId() == null || models.byId(read.modelId()).isEmpty()) {
            form.fault("model", "fault.choose");
        }
        if (read.inService() == null) {
            form.fault("inService", "fault.date", form.get("inService"));
        } else if (read.made() != null && read.inService().isBefore(read.made())) {
            form.fault("inService", "fault.date.order", read.inService(), read.made());
        }
        if (read.slot() != null && read.machine() != null) {
            form.fault("machine", "fault.two-places");
        }
        return read;
    }

    @PostMapping("/setup/batteries")
    Object add(
            @RequestParam Map<String, String> typed, Person person, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Read read = read(form, today(words));
        if (form.isSound()) {
            keep(
                    form,
                    () -> transaction.executeWithoutResult(status -> {
                        long id = batteries.add(
                                read.code(),
                                read.serial(),
                                Objects.requireNonNull(read.modelId()),
                                read.made(),
                                Objects.requireNonNull(read.inService()));
                        batteries.place(id, read.slot(), read.machine());
                        batteries.nameWaterOwner(id, read.water());
                        Battery battery = batteries.byId(id).orElseThrow();
                        BatteryEvent came = new BatteryEvent.Arrived(
                                words.now(), form.get("arrived").equals("dry"));
                        batteryRecord.record(battery, List.of(LedgerEvents.entry(came, person.id(), "")));
                    }));
        }
        return done(form, null, read.code(), words, page, flash);
    }

    @PostMapping("/setup/batteries/{code}")
    Object change(
            @PathVariable String code,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Battery was = find(code);
        typed.put("code", was.code());
        typed.put("model", String.valueOf(was.type().id()));
        TypedForm form = new TypedForm(typed, words);
        Read read = read(form, today(words));
        if (form.isSound()) {
            keep(
                    form,
                    () -> transaction.executeWithoutResult(status -> {
                        batteries.change(
                                was.id(), read.serial(), read.made(), Objects.requireNonNull(read.inService()));
                        batteries.place(was.id(), read.slot(), read.machine());
                        batteries.nameWaterOwner(was.id(), read.water());
                        writeMove(was, batteries.byId(was.id()).orElseThrow(), person, words);
                    }));
        }
        return done(form, was, was.code(), words, page, flash);
    }

    private void writeMove(Battery was, Battery is, Person person, Words words) {
        if (Objects.equals(was.place(), is.place())) {
            return;
        }
        BatteryEvent moved =
                new BatteryEvent.Moved(words.now(), is.machineCode() == null ? is.place() : null, is.machineCode());
        NewEntry line = LedgerEvents.entry(moved, person.id(), "");
        ObjectNode told = (ObjectNode) Payload.read(line.payload());
        told.put("from", Objects.toString(was.place(), "–")).put("to", Objects.toString(is.place(), "–"));
        batteryRecord.record(is, List.of(line.with(told.toString())));
    }

    /** The database has the last word on what is taken: two people may have chosen the same code or slot at once. */
    private static void keep(TypedForm form, Runnable write) {
        try {
            write.run();
        } catch (DuplicateKeyException e) {
            String message = String.valueOf(e.getMessage());
            if (message.contains("battery_serial_once")) {
                form.fault("serial", "fault.taken", form.get("serial"));
            } else if (message.contains("battery_slot_once")) {
                form.fault("slot", "fault.slot.taken");
            } else if (message.contains("battery_machine_once")) {
                form.fault("machine", "fault.slot.taken");
            } else {
                form.fault("code", "fault.taken", form.get("code"));
            }
        }
    }

    private Object done(
            TypedForm form, @Nullable Battery battery, String code, Words words, Model page, RedirectAttributes flash) {
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", code));
        return "redirect:/setup/batteries";
    }

    private LocalDate today(Words words) {
        return LocalDate.ofInstant(words.now(), zone);
    }

    private Battery find(String code) {
        return batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
    }
}
