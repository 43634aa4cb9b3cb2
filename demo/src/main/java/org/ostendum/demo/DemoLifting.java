package org.ostendum.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.ostendum.app.change.LiftMeasures;
import org.ostendum.app.change.LiftMeasures.All;
import org.ostendum.app.change.LiftMeasures.Hoist;
import org.ostendum.app.change.LiftMeasures.Tier;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.safety.Stations;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.change.Beam;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;

/** What was measured for changing: the hoist's beam, eyes, heights of rollers. One truck's model is still to be measured. */
class DemoLifting {
    private static final String HOIST = "Hoist over stands A and B";
    private static final Hoist BEAM = new Hoist(new Beam(150, 40, 14, 600), 1200);
    private static final Map<String, Integer> EYES =
            Map.of("Corvane 36-600", 780, "Corvane 48-700", 820, "Hallowmere 24-300", 560);
    private static final Map<String, CaseSize> SIZES = Map.of(
            "Corvane 36-600",
            new CaseSize(830, 520, 600),
            "Corvane 48-700",
            new CaseSize(965, 640, 610),
            "Hallowmere 24-300",
            new CaseSize(620, 280, 540));
    private static final int PLAY = 12;
    private static final int STAND_HEIGHT = 450;
    private static final int TRUCK_HEIGHT = 610;

    private final LiftMeasures measures;
    private final Stations stations;
    private final Rooms rooms;
    private final Machines machines;
    private final Batteries batteries;

    DemoLifting(LiftMeasures measures, Stations stations, Rooms rooms, Machines machines, Batteries batteries) {
        this.batteries = batteries;
        this.measures = measures;
        this.stations = stations;
        this.rooms = rooms;
        this.machines = machines;
    }

    /** @param models ids by code */
    void fill(Map<String, Long> models) {
        List<RoomPlan> plans = rooms.plans();
        measures.keep(new All(hoists(plans), eyes(models), trucks(), tiers(plans), sizes(models), bays(models)));
    }

    private Map<Long, Hoist> hoists(List<RoomPlan> plans) {
        return plans.stream()
                .flatMap(room -> stations.of(room.id()).stream())
                .filter(station -> station.name().equals(HOIST))
                .collect(Collectors.toMap(Stations.Station::id, station -> BEAM));
    }

    private static Map<Long, Integer> eyes(Map<String, Long> models) {
        Map<Long, Integer> eyes = new HashMap<>();
        EYES.forEach((code, mm) -> {
            Long id = models.get(code);
            if (id != null) {
                eyes.put(id, mm);
            }
        });
        return eyes;
    }

    private static Map<Long, CaseSize> sizes(Map<String, Long> models) {
        Map<Long, CaseSize> sizes = new HashMap<>();
        SIZES.forEach((code, size) -> {
            Long id = models.get(code);
            if (id != null) {
                sizes.put(id, size);
            }
        });
        return sizes;
    }

    /** Each truck was bought with the battery it has: the bay is a finger wider. */
    private Map<Long, CaseSize> bays(Map<String, Long> models) {
        Map<Long, CaseSize> known = sizes(models);
        Map<Long, CaseSize> bays = new HashMap<>();
        for (Machine machine : machines.all()) {
            batteries
                    .inMachine(machine.id())
                    .map(battery -> known.get(battery.type().id()))
                    .ifPresent(size -> bays.put(
                            machine.id(),
                            new CaseSize(size.length() + PLAY, size.width() + PLAY, size.height() + 2 * PLAY)));
        }
        return bays;
    }

    private Map<Long, Integer> trucks() {
        return machines.all().stream()
                .filter(machine -> machine.kind() == MachineKind.FORKLIFT)
                .collect(Collectors.toMap(Machine::id, machine -> TRUCK_HEIGHT));
    }

    private static Map<Tier, Integer> tiers(List<RoomPlan> plans) {
        return plans.stream()
                .flatMap(room -> room.stands().stream())
                .filter(stand -> stand.kind() == StandKind.STAND)
                .map(Stand::id)
                .collect(Collectors.toMap(id -> new Tier(id, 1), id -> STAND_HEIGHT));
    }
}
