package org.ostendum.app.setup;

import java.util.List;
import org.ostendum.app.change.LiftMeasures;
import org.ostendum.app.device.Devices;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Places;
import org.ostendum.app.site.Sites;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.watering.WaterAnalyses;
import org.springframework.stereotype.Component;

/** What a site needs before its first round, in the order in which it is best done, and what may come later. */
@Component
class SetupSteps {
    private final Places places;
    private final Rounds rounds;
    private final Sites sites;
    private final Models models;
    private final Chargers chargers;
    private final Machines machines;
    private final Batteries batteries;
    private final Devices devices;
    private final WaterAnalyses analyses;
    private final LiftMeasures lifts;
    private final ReadyPeople ready;

    SetupSteps(
            Places places,
            Rounds rounds,
            Sites sites,
            Models models,
            Chargers chargers,
            Machines machines,
            Batteries batteries,
            Devices devices,
            WaterAnalyses analyses,
            LiftMeasures lifts,
            ReadyPeople ready) {
        this.places = places;
        this.rounds = rounds;
        this.sites = sites;
        this.models = models;
        this.chargers = chargers;
        this.machines = machines;
        this.batteries = batteries;
        this.devices = devices;
        this.analyses = analyses;
        this.lifts = lifts;
        this.ready = ready;
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
        int trained = ready.trained();
        int looked = ready.stationsToRelyOn();
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
                new Step("people", "/setup/people", ready.all(), ready.all() > 1),
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
}
