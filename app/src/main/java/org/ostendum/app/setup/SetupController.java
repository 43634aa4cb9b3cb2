package org.ostendum.app.setup;

import java.util.List;
import org.ostendum.app.device.Devices;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.people.People;
import org.ostendum.app.watering.WaterAnalyses;
import org.ostendum.core.room.RoomPlan;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The way to everything that is set up. */
@Controller
class SetupController {
    private final Batteries batteries;
    private final Models models;
    private final Machines machines;
    private final Rooms rooms;
    private final People people;
    private final Devices devices;
    private final WaterAnalyses analyses;

    SetupController(
            Batteries batteries,
            Models models,
            Machines machines,
            Rooms rooms,
            People people,
            Devices devices,
            WaterAnalyses analyses) {
        this.batteries = batteries;
        this.models = models;
        this.machines = machines;
        this.rooms = rooms;
        this.people = people;
        this.devices = devices;
        this.analyses = analyses;
    }

    /** An area of the setup and how much is in it. */
    record Area(String name, int count) {}

    @GetMapping("/setup")
    String setup(Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute(
                "areas",
                List.of(
                        new Area("rooms", rooms.names().size()),
                        new Area("chargers", (int) rooms.plans().stream()
                                .flatMap(RoomPlan::chargers)
                                .count()),
                        new Area("devices", devices.all().size()),
                        new Area("charging", MachineKind.values().length),
                        new Area("water", analyses.newest().isPresent() ? 1 : 0),
                        new Area("models", models.all().size()),
                        new Area("machines", machines.all().size()),
                        new Area("batteries", batteries.count()),
                        new Area("people", people.all().size())));
        return "setup/setup";
    }
}
