package org.ostendum.app.fleetfile;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Places;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;

/** Machines with the plates that say which batteries they take. */
@Component
class MachinesTable implements FleetTable {
    private static final int MOST_KG = 5000;
    private static final int MOST_VOLTS = 288;

    private final Machines machines;
    private final Places places;
    private final ChargersTable chargers;

    MachinesTable(Machines machines, Places places, ChargersTable chargers) {
        this.machines = machines;
        this.places = places;
        this.chargers = chargers;
    }

    @Override
    public FleetFile file() {
        return FleetFile.MACHINES;
    }

    @Override
    public List<String> columns() {
        return List.of("machine", "kind", "volts", "weight_from_kg", "weight_to_kg", "connector", "name", "place");
    }

    @Override
    public List<String> required() {
        return List.of("machine");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (Machine machine : machines.all()) {
            lines.put(
                    machine.code(),
                    List.of(
                            machine.code(),
                            FleetText.word(machine.kind()),
                            FleetText.number(machine.volts()),
                            FleetText.number(machine.weightFromKg()),
                            FleetText.number(machine.weightToKg()),
                            machine.connector(),
                            machine.name(),
                            Objects.toString(machine.place(), "")));
        }
        return lines;
    }

    @Override
    public void take(List<CsvRow> rows, Person by) {
        // Two that change places in one file must not be in each other's way.
        for (CsvRow row : rows) {
            machines.byCode(row.text("machine"))
                    .filter(m -> row.has("place") && !row.text("place").equals(m.place()))
                    .ifPresent(m -> machines.park(m.id(), null));
        }
        rows.forEach(this::take);
    }

    private void take(CsvRow row) {
        String code = row.code("machine");
        Machine was = row.isSound() ? machines.byCode(code).orElse(null) : null;
        MachineKind kind =
                row.oneOf("kind", FleetText.words(MachineKind.class), was == null ? MachineKind.FORKLIFT : was.kind());
        Integer volts = whole(row, "volts", was == null ? null : was.volts(), 2, MOST_VOLTS);
        Integer from = whole(row, "weight_from_kg", was == null ? null : was.weightFromKg(), 1, MOST_KG);
        Integer to = whole(row, "weight_to_kg", was == null ? null : was.weightToKg(), 1, MOST_KG);
        if (from != null && to != null && from > to) {
            row.bad("weight_from_kg", "at most weight_to_kg, " + to);
        }
        String name = row.kept("name", was == null ? code : was.name(), 80);
        String connector = row.has("connector") ? row.kept("connector", "", 40) : was == null ? "" : was.connector();
        @Nullable Long slot = slot(row, was);
        if (!row.isSound()) {
            return;
        }
        Machine machine =
                new Machine(was == null ? 0 : was.id(), code, name, kind, from, to, volts, connector, slot, null);
        if (was == null) {
            machines.add(machine);
        } else {
            machines.change(machine, machines.version(was.id()));
        }
        chargers.join(machines.byCode(code).orElseThrow());
    }

    private static @Nullable Integer whole(CsvRow row, String column, @Nullable Integer was, int least, int most) {
        Double number = row.keptNumber(column, was == null ? null : (Double) (double) was, least, most);
        return number == null ? null : (Integer) (int) Math.round(number);
    }

    private @Nullable Long slot(CsvRow row, @Nullable Machine was) {
        String named = row.text("place");
        if (!row.has("place")) {
            return was == null ? null : was.slotId();
        } else if (named.isEmpty()) {
            return null;
        }
        Optional<Places.Place> place = places.byCode(named);
        if (place.isEmpty()) {
            row.bad("place", "a place that is on record; send places.csv first");
            return null;
        }
        places.holds(place.get().id())
                .filter(held -> !held.equals(row.text("machine")))
                .ifPresent(held -> row.bad("place", "a place that is free; " + held + " is there"));
        return place.get().id();
    }
}
