package org.ostendum.demo;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Iterator;
import java.util.Map;
import java.util.Objects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.people.People;
import org.ostendum.app.site.Site;
import org.ostendum.app.site.Sites;
import org.ostendum.core.people.Language;
import org.ostendum.demo.Lanternmoor.OneBattery;
import org.ostendum.demo.Lanternmoor.Someone;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Who and what there is at Lanternmoor: people, models, stands, machines and batteries. */
class DemoSite {
    private final People people;
    private final PasswordEncoder encoder;
    private final Models models;
    private final DemoFloor floor;
    private final Batteries batteries;

    private final Sites sites;

    DemoSite(Sites sites, People people, PasswordEncoder encoder, Models models, DemoFloor floor, Batteries batteries) {
        this.people = people;
        this.encoder = encoder;
        this.models = models;
        this.floor = floor;
        this.sites = sites;
        this.batteries = batteries;
    }

    /**
     * What has been put in, by login, code or name.
     *
     * @param slots still free on each stand
     */
    record Known(
            Map<String, Long> persons,
            Map<String, Long> models,
            Map<String, Long> machines,
            Map<String, Iterator<Long>> slots) {}

    boolean isEmpty() {
        return people.isEmpty();
    }

    /** People, models, stands and machines. */
    Known fill() {
        Map<String, Long> machines = new HashMap<>();
        sites.keep(
                new Site(
                        "Lanternmoor Studios",
                        "EUR",
                        "",
                        false,
                        false,
                        "Shower and eyewash stand left of the door. House nurse: extension 204, day and night.",
                        "Standing order 12, battery room. Licensed work on aircraft batteries only by the hangar.",
                        Language.ENGLISH),
                0);
        Map<String, Iterator<Long>> slots = floor.addStands();
        Known known = new Known(addPeople(), addModels(), machines, slots);
        floor.park(slots, machines);
        return known;
    }

    private Map<String, Long> addPeople() {
        Map<String, Long> persons = new HashMap<>();
        String hash = Objects.requireNonNull(encoder.encode(Lanternmoor.PASSWORD));
        for (Someone someone : Lanternmoor.PEOPLE) {
            persons.put(someone.login(), people.add(someone.login(), someone.name(), someone.role(), hash));
        }
        return persons;
    }

    private Map<String, Long> addModels() {
        Map<String, Long> ids = new HashMap<>();
        for (StoredModel model : LanternmoorModels.ALL) {
            ids.put(model.code(), models.add(model));
        }
        return ids;
    }

    Battery add(OneBattery one, Known known, long worker, LocalDate today) {
        long id = batteries.add(
                one.code(),
                one.serial(),
                known(known.models(), one.model()),
                today.minusMonths(one.monthsOld() + 2L),
                today.minusMonths(one.monthsOld()));
        batteries.place(
                id,
                one.stand().isEmpty() ? null : known(known.slots(), one.stand()).next(),
                one.machine().isEmpty() ? null : known(known.machines(), one.machine()));
        batteries.nameWaterOwner(id, worker);
        return batteries.byId(id).orElseThrow();
    }

    void hangChargers() {
        floor.hangChargers();
    }

    static <T> T known(Map<String, T> things, String name) {
        T thing = things.get(name);
        if (thing == null) {
            throw new IllegalStateException("The demo has no " + name);
        }
        return thing;
    }
}
