package org.ostendum.app.setup;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.ostendum.app.change.LiftMeasures;
import org.ostendum.app.device.Devices;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Places;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.site.Sites;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.watering.WaterAnalyses;
import org.ostendum.core.people.Person;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Component;

/** What a site needs before its first round, in the order in which it is best done, and what may come later. */
@Component
class SetupSteps {
    private final Places places;
    private final Rounds rounds;
    private final Sites sites;
    private final Rooms rooms;
    private final Models models;
    private final Chargers chargers;
    private final Machines machines;
    private final Batteries batteries;
    private final People people;
    private final Trainings trainings;
    private final Stations stations;
    private final Devices devices;
    private final WaterAnalyses analyses;
    private final LiftMeasures lifts;
    private final BatteryStates batteryStates;
    private final ZoneId zone;

    SetupSteps(
            Places places,
            Rounds rounds,
            Sites sites,
            Rooms rooms,
            Models models,
            Chargers chargers,
            Machines machines,
            Batteries batteries,
            People people,
            Trainings trainings,
            Stations stations,
            Devices devices,
            WaterAnalyses analyses,
            LiftMeasures lifts,
            BatteryStates batteryStates,
            ZoneId zone) {
        this.places = places;
        this.rounds = rounds;
        this.sites = sites;
        this.rooms = rooms;
        this.models = models;
        this.chargers = chargers;
        this.machines = machines;
        this.batteries = batteries;
        this.people = people;
        this.trainings = trainings;
        this.stations = stations;
        this.devices = devices;
        this.analyses = analyses;
        this.lifts = lifts;
        this.batteryStates = batteryStates;
        this.zone = zone;
    }

    /**
     * One thing to set up.
     *
     * @param path where it is done
     * @param count of what is on record
     * @param done whether the site could work with it
     */
    record Step(String name, String path, int count, boolean done) {}

    List<Step> needed() {
        int allPlaces = places.count();
        int kinds = models.all().size();
        int all = batteries.count();
        int trained = trained();
        int looked = stationsToRelyOn();
        int allRounds = rounds.count();
        return List.of(
                new Step(
                        "site",
                        "/setup/site",
                        sites.site().isNamed() ? 1 : 0,
                        sites.site().isNamed()),
                new Step("rooms", "/setup/rooms", allPlaces, allPlaces > 0),
                new Step("models", "/setup/models", kinds, kinds > 0),
                new Step("batteries", "/setup/batteries", all, all > 0),
                new Step(
                        "people",
                        "/setup/people",
                        people.all().size(),
                        people.all().size() > 1),
                new Step("trainings", "/safety#trainings", trained, trained > 0),
                new Step("stations", "/safety", looked, looked > 0),
                new Step("round", "/fleet", allRounds, allRounds > 0));
    }

    List<Step> others() {
        return List.of(
                new Step("chargers", "/setup/chargers", chargers.all().size(), true),
                new Step("machines", "/setup/machines", machines.all().size(), true),
                new Step("devices", "/setup/devices", devices.all().size(), true),
                new Step("charging", "/setup/charging", MachineKind.values().length, true),
                new Step("changing", "/setup/changing", lifts.count(), true),
                new Step("water", "/setup/water", analyses.newest().isPresent() ? 1 : 0, true));
    }

    /** Who may take a round today. */
    private int trained() {
        LocalDate today = LocalDate.ofInstant(batteryStates.instant(), zone);
        Rules rules = batteryStates.rulebook().siteRules();
        var all = trainings.all();
        return (int) people.all().stream()
                .filter(Person::active)
                .filter(p -> all.getOrDefault(p.id(), Trained.NOTHING).counts(Training.BATTERY_CARE, today, rules))
                .count();
    }

    private int stationsToRelyOn() {
        Rules rules = batteryStates.rulebook().siteRules();
        return (int) rooms.names().stream()
                .flatMap(room -> stations.of(room.id()).stream())
                .filter(s ->
                        s.state().standing(batteryStates.instant(), zone, rules).canBeReliedOn())
                .count();
    }
}
