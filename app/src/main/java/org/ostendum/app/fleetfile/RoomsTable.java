package org.ostendum.app.fleetfile;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.core.people.Person;
import org.ostendum.core.room.RoomAir;
import org.ostendum.core.room.RoomPlan;
import org.springframework.stereotype.Component;

/** Rooms with their air. */
@Component
class RoomsTable implements FleetTable {
    private static final int USUAL_WIDTH = 2000;
    private static final int USUAL_DEPTH = 1200;
    private static final double MOST_AIR = 1_000_000;

    private final Rooms rooms;

    RoomsTable(Rooms rooms) {
        this.rooms = rooms;
    }

    @Override
    public FleetFile file() {
        return FleetFile.ROOMS;
    }

    @Override
    public List<String> columns() {
        return List.of("room", "name", "volume_m3", "height_m", "fan_m3_h", "width_cm", "depth_cm");
    }

    @Override
    public List<String> required() {
        return List.of("room");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (RoomPlan room : rooms.plans()) {
            lines.put(
                    room.code(),
                    List.of(
                            room.code(),
                            room.name(),
                            FleetText.number(room.air().cubicMetres()),
                            FleetText.number(room.air().heightMetres()),
                            FleetText.number(room.air().fanCubicMetresPerHour()),
                            String.valueOf(room.widthCm()),
                            String.valueOf(room.depthCm())));
        }
        return lines;
    }

    @Override
    public void take(List<CsvRow> rows, Person by) {
        rows.forEach(this::take);
    }

    private void take(CsvRow row) {
        String code = row.code("room");
        RoomPlan was = row.isSound() ? rooms.byCode(code).orElse(null) : null;
        String name = row.kept("name", was == null ? code : was.name(), 80);
        @Nullable RoomAir air = was == null ? null : was.air();
        Double volume = row.keptNumber("volume_m3", air == null ? null : air.cubicMetres(), 1, MOST_AIR);
        Double height = row.keptNumber(
                "height_m", air == null ? null : air.heightMetres(), RoomAir.LEAST_HEIGHT, RoomAir.MOST_HEIGHT);
        Double fan = row.keptNumber("fan_m3_h", air == null ? null : air.fanCubicMetresPerHour(), 0, MOST_AIR);
        int width = row.whole("width_cm", 100, 20000, was == null ? USUAL_WIDTH : was.widthCm());
        int depth = row.whole("depth_cm", 100, 20000, was == null ? USUAL_DEPTH : was.depthCm());
        if (!row.isSound()) {
            return;
        }
        long id = was == null ? rooms.add(code, name, width, depth) : was.id();
        if (was != null) {
            rooms.change(id, name, width, depth);
        }
        rooms.keepAir(id, new RoomAir(height, volume, fan));
    }
}
