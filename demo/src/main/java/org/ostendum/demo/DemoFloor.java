package org.ostendum.demo;

import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.demo.Lanternmoor.Parked;
import org.ostendum.demo.Lanternmoor.Standing;

/** The demo's floor: its room with stands, the chargers over them and the machines in them. */
class DemoFloor {
    private final Rooms rooms;
    private final Chargers chargers;
    private final Machines machines;
    private final Batteries batteries;
    private final Map<Long, ChargerSheet> plates = new TreeMap<>();

    DemoFloor(Rooms rooms, Chargers chargers, Machines machines, Batteries batteries) {
        this.rooms = rooms;
        this.chargers = chargers;
        this.machines = machines;
        this.batteries = batteries;
    }

    /** @return free slots by the code of their stand */
    Map<String, Iterator<Long>> addStands() {
        long room = rooms.add("main", "Lanternmoor battery room", Lanternmoor.ROOM_WIDTH_CM, Lanternmoor.ROOM_DEPTH_CM);
        Map<String, Iterator<Long>> slots = new HashMap<>();
        for (Standing standing : Lanternmoor.STANDS) {
            List<Long> ids = rooms.addStand(room, standing.stand(), standing.slots());
            for (int i = 0; i < ids.size() && standing.chargerCells() > 0; i++) {
                plates.put(
                        ids.get(i),
                        ChargerSheet.ofPlate(
                                standing.chargers() + (i + 1),
                                standing.chargerCells(),
                                new Amperes(standing.chargerAmps())));
            }
            slots.put(standing.stand().code(), ids.iterator());
        }
        return slots;
    }

    /** Over each slot hangs a charger for what stands there; over a free one the stand's usual. */
    void hangChargers() {
        Map<Long, BatteryModel> standing = new HashMap<>();
        for (Battery battery : batteries.all()) {
            if (battery.slotId() != null) {
                standing.put(battery.slotId(), battery.type().model());
            }
        }
        plates.forEach((slot, usual) -> {
            BatteryModel model = standing.get(slot);
            chargers.add(slot, model == null ? usual : LanternmoorModels.charger(usual.code(), model));
        });
        batteries.all().stream().filter(DemoFloor::isChargedOnBoard).forEach(this::putOnBoard);
    }

    /** Cars and platforms bring their own charger along. */
    private static boolean isChargedOnBoard(Battery battery) {
        return battery.machineId() != null && battery.type().model().duty() == Duty.DEEP_CYCLE;
    }

    private void putOnBoard(Battery battery) {
        long id = chargers.add(
                null,
                LanternmoorModels.onBoard(
                        "OB-" + battery.machineCode(), battery.type().model()));
        chargers.place(id, null, true, battery.machineId());
    }

    /** Each machine into the next free slot of its stand. */
    void park(Map<String, Iterator<Long>> slots, Map<String, Long> machineIds) {
        for (Parked parked : Lanternmoor.machines()) {
            Long slot = parked.stand().isEmpty()
                    ? null
                    : DemoSite.known(slots, parked.stand()).next();
            Integer from = parked.fromKg() == 0 ? null : (Integer) parked.fromKg();
            Integer to = parked.toKg() == 0 ? null : (Integer) parked.toKg();
            machineIds.put(
                    parked.code(),
                    machines.add(new Machine(
                            0, parked.code(), parked.name(), parked.kind(), from, to, parked.volts(), "", slot, null)));
        }
    }
}
