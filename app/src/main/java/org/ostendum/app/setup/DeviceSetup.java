package org.ostendum.app.setup;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.app.device.Device;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.device.Devices;
import org.ostendum.app.device.StandInHands;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.words.Words;
import org.ostendum.core.room.RoomPlan;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Devices that can be heard: what they belong to, where they answer, and whether they do. */
@Controller
class DeviceSetup {
    private final Devices devices;
    private final DeviceStatuses statuses;
    private final Rooms rooms;
    private final Batteries batteries;
    private final StandInHands hands;

    DeviceSetup(Devices devices, DeviceStatuses statuses, Rooms rooms, Batteries batteries, StandInHands hands) {
        this.devices = devices;
        this.statuses = statuses;
        this.rooms = rooms;
        this.batteries = batteries;
        this.hands = hands;
    }

    /** A device and whether it has been heard lately. */
    record Line(Device device, boolean heard) {}

    @GetMapping("/setup/devices")
    String list(Words words, Model page) {
        return show(FormView.of(DeviceForm.BLANK), words, page);
    }

    private String show(FormView form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "devices",
                devices.all().stream().map(d -> new Line(d, isHeard(d))).toList());
        page.addAttribute("kinds", Option.of(Device.Kind.class, words));
        page.addAttribute("owners", owners());
        page.addAttribute("standIns", hands.areNeeded());
        return "setup/devices";
    }

    private boolean isHeard(Device device) {
        return switch (device.kind()) {
            case CHARGER ->
                device.chargerId() != null
                        && statuses.charger(device.chargerId()).isPresent();
            case TAG ->
                device.batteryId() != null && statuses.tag(device.batteryId()).isPresent();
            case AIR -> device.roomId() != null && statuses.air(device.roomId()).isPresent();
            case CART ->
                device.roomId() != null && statuses.cart(device.roomId()).isPresent();
            case LOAD_BANK ->
                device.roomId() != null && statuses.loadBank(device.roomId()).isPresent();
        };
    }

    private List<Option> owners() {
        List<Option> owners = new ArrayList<>();
        rooms.names().forEach(r -> owners.add(new Option("room " + r.id(), r.name())));
        rooms.plans().stream()
                .flatMap(RoomPlan::chargers)
                .forEach(c -> owners.add(new Option("charger " + c.id(), c.code())));
        batteries.all().forEach(b -> owners.add(new Option("battery " + b.id(), b.code())));
        return owners;
    }

    @PostMapping("/setup/devices")
    Object add(
            @Validated @ModelAttribute("form") DeviceForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (!errors.hasErrors() && !form.isOwnerOfItsKind()) {
            Faults.tell(errors, "owner", "setup.device.fault.owner." + form.wantedOwner());
        }
        if (!errors.hasErrors()) {
            add(form, errors);
        }
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(FormView.of(errors, words), words, page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.device.added"));
        return "redirect:/setup/devices";
    }

    private void add(DeviceForm form, BindingResult errors) {
        try {
            devices.add(form.device());
        } catch (DuplicateKeyException e) {
            Faults.tell(errors, "register", "setup.device.fault.taken");
        } catch (DataIntegrityViolationException e) {
            Faults.tell(errors, "owner", "fault.choose");
        }
    }

    @PostMapping("/setup/devices/{id}/remove")
    String remove(@PathVariable long id, Words words, RedirectAttributes flash) {
        devices.remove(id);
        flash.addFlashAttribute("told", words.text("setup.device.removed"));
        return "redirect:/setup/devices";
    }

    /** What somebody in a room of stand-ins would do at the switch of the fan. */
    @PostMapping("/setup/devices/fan")
    String fan(@RequestParam boolean on, Words words, RedirectAttributes flash) {
        hands.switchFan(on);
        flash.addFlashAttribute("told", words.text(on ? "setup.device.fan.on" : "setup.device.fan.off"));
        return "redirect:/setup/devices";
    }
}
