package org.ostendum.app.fleetfile;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Places;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryChanges;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;

/** Batteries, and where each of them is. */
@Component
class BatteriesTable implements FleetTable {
    private final Batteries batteries;
    private final Models models;
    private final Places places;
    private final Machines machines;
    private final People people;
    private final BatteryChanges changes;
    private final Awaited awaited;
    private final Clock clock;
    private final ZoneId zone;

    BatteriesTable(
            Batteries batteries,
            Models models,
            Places places,
            Machines machines,
            People people,
            BatteryChanges changes,
            Awaited awaited,
            Clock clock,
            ZoneId zone) {
        this.batteries = batteries;
        this.models = models;
        this.places = places;
        this.machines = machines;
        this.people = people;
        this.changes = changes;
        this.awaited = awaited;
        this.clock = clock;
        this.zone = zone;
    }

    @Override
    public FleetFile file() {
        return FleetFile.BATTERIES;
    }

    @Override
    public List<String> columns() {
        return List.of("battery", "model", "serial", "made", "in_service", "place", "machine", "owner", "arrived");
    }

    @Override
    public List<String> required() {
        return List.of("battery", "model");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<String, String> waiting = awaited.of(Awaited.What.OWNER);
        Map<Long, String> logins = new HashMap<>();
        people.all().forEach(p -> logins.put(p.id(), p.login()));
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (Battery battery : batteries.all()) {
            String machine = Objects.toString(battery.machineCode(), "");
            Long owner = battery.waterOwnerId();
            lines.put(
                    battery.code(),
                    List.of(
                            battery.code(),
                            battery.type().code(),
                            battery.serial(),
                            Objects.toString(battery.madeOn(), ""),
                            battery.inServiceOn().toString(),
                            machine.isEmpty() ? Objects.toString(battery.place(), "") : "",
                            machine,
                            owner == null ? waiting.getOrDefault(battery.code(), "") : logins.getOrDefault(owner, ""),
                            ""));
        }
        return lines;
    }

    @Override
    public void take(List<CsvRow> rows, Person by) {
        Map<String, Battery> were = new HashMap<>();
        for (CsvRow row : rows) {
            batteries.byCode(row.text("battery")).ifPresent(b -> {
                were.put(b.code(), b);
                // Two that change places in one file must not be in each other's way.
                if (isMoved(row, b)) {
                    batteries.place(b.id(), null, null);
                }
            });
        }
        rows.forEach(row -> take(row, were, by));
    }

    private static boolean isMoved(CsvRow row, Battery battery) {
        boolean elsewhere = row.has("place") && !row.text("place").equals(Objects.toString(battery.place(), ""));
        boolean other = row.has("machine") && !row.text("machine").equals(Objects.toString(battery.machineCode(), ""));
        return elsewhere || other;
    }

    private void take(CsvRow row, Map<String, Battery> were, Person by) {
        String code = row.code("battery");
        Battery was = were.get(code);
        Optional<StoredModel> model = model(row, was);
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        @Nullable LocalDate made = past(row, "made", was == null ? null : was.madeOn(), today);
        @Nullable LocalDate inService = past(row, "in_service", was == null ? today : was.inServiceOn(), today);
        if (made != null && inService != null && inService.isBefore(made)) {
            row.bad("in_service", "a day not before it was made, " + made);
        }
        String serial = row.kept("serial", was == null ? code : was.serial(), 40);
        boolean dry = row.oneOf("arrived", Map.of("filled", false, "dry", true), false);
        @Nullable Long slot = slot(row, was);
        @Nullable Long machine = machine(row, was);
        if (slot != null && machine != null && row.isSound()) {
            row.bad("machine", "to be empty where the place is given: a battery is in one of them");
        }
        if (!row.isSound() || model.isEmpty() || inService == null) {
            return;
        }
        Battery battery = was == null
                ? changes.arrive(
                        new BatteryChanges.Arrival(code, serial, model.get().id(), made, inService, dry), by)
                : was;
        if (was == null) {
            batteries.place(battery.id(), slot, machine);
        } else {
            change(was, model.get(), serial, made, inService, by);
            changes.place(was, slot, machine, by);
        }
        nameOwner(row, battery);
    }

    private void change(
            Battery was, StoredModel model, String serial, @Nullable LocalDate made, LocalDate inService, Person by) {
        boolean same = serial.equals(was.serial())
                && Objects.equals(made, was.madeOn())
                && inService.equals(was.inServiceOn());
        if (!same) {
            batteries.change(was.id(), batteries.version(was.id()), serial, made, inService);
        }
        if (model.id() != was.type().id()) {
            changes.remodel(was, model, "Model " + was.type().code() + " → " + model.code(), by);
        }
    }

    private static @Nullable LocalDate past(CsvRow row, String column, @Nullable LocalDate was, LocalDate today) {
        LocalDate day = row.day(column, was);
        if (day != null && day.isAfter(today)) {
            row.bad(column, "a day that has come");
        }
        return day;
    }

    private Optional<StoredModel> model(CsvRow row, @Nullable Battery was) {
        String named = row.text("model");
        if (named.isEmpty() && was != null) {
            return Optional.of(was.type());
        }
        Optional<StoredModel> model = models.byCode(named);
        if (model.isEmpty()) {
            row.bad("model", "a model that is on record; send models.csv first");
        } else if (was != null
                && model.get().model().cells() != was.type().model().cells()) {
            row.bad("model", "a model with " + was.type().model().cells() + " cells, as it has");
        }
        return model;
    }

    private @Nullable Long slot(CsvRow row, @Nullable Battery was) {
        String named = row.text("place");
        if (!row.has("place")) {
            return was == null || !row.text("machine").isEmpty() ? null : was.slotId();
        }
        if (named.isEmpty()) {
            return null;
        }
        Optional<Places.Place> place = places.byCode(named);
        if (place.isEmpty()) {
            if (machines.byCode(named).isEmpty()) {
                row.bad("place", "a place that is on record; send places.csv first");
            }
            return null;
        }
        places.holds(place.get().id())
                .filter(held -> !held.equals(row.text("battery")))
                .ifPresent(held -> row.bad("place", "a place that is free; " + held + " is there"));
        return place.get().id();
    }

    /** A machine may be named as its place as well. */
    private @Nullable Long machine(CsvRow row, @Nullable Battery was) {
        String asPlace = row.text("place");
        String named =
                row.text("machine").isEmpty() && places.byCode(asPlace).isEmpty() ? asPlace : row.text("machine");
        if (named.isEmpty()) {
            return was == null || row.has("machine") || !asPlace.isEmpty() ? null : was.machineId();
        }
        Optional<Machine> machine = machines.byCode(named);
        if (machine.isEmpty()) {
            if (!row.text("machine").isEmpty()) {
                row.bad("machine", "a machine that is on record; send machines.csv first");
            }
            return null;
        }
        batteries
                .inMachine(machine.get().id())
                .filter(held -> !held.code().equals(row.text("battery")))
                .ifPresent(held -> row.bad("machine", "a machine that is empty; " + held.code() + " is in it"));
        return machine.get().id();
    }

    /** Who waters it; people come in the last file. */
    private void nameOwner(CsvRow row, Battery battery) {
        if (!row.has("owner")) {
            return;
        }
        String login = row.text("owner");
        Optional<Person> owner = login.isEmpty() ? Optional.empty() : people.byLogin(login);
        awaited.forget(Awaited.What.OWNER, battery.code());
        batteries.nameWaterOwner(battery.id(), owner.map(Person::id).orElse(null));
        if (owner.isEmpty() && !login.isEmpty()) {
            awaited.add(Awaited.What.OWNER, battery.code(), login);
        }
    }

    /** Names somebody who has come as the owner of the batteries that wait for him. */
    void join(Person owner) {
        for (String holder : awaited.holders(Awaited.What.OWNER, owner.login())) {
            batteries.byCode(holder).ifPresent(b -> batteries.nameWaterOwner(b.id(), owner.id()));
            awaited.forget(Awaited.What.OWNER, holder);
        }
    }
}
