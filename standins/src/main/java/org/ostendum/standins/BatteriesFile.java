package org.ostendum.standins;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;
import org.ostendum.core.device.HandOrder;
import org.ostendum.sim.RoomBattery;

/**
 * Batteries that stand in the room from the start, with their tags, as a CSV file: {@code tag, code, cells, capacity_ah,
 * empty, full, missing}; gravities in points, what is missing in thousandths of the capacity.
 */
final class BatteriesFile {
    private BatteriesFile() {}

    /** A battery and what the site calls it. */
    record Named(String code, RoomBattery battery) {}

    /** @return those that stand at a bank, by tag */
    static Map<Long, RoomBattery> standing(Path bank) throws IOException {
        Map<Long, RoomBattery> batteries = new LinkedHashMap<>();
        read(bank.resolveSibling("batteries.csv")).forEach((tag, named) -> batteries.put(tag, named.battery()));
        return batteries;
    }

    /** @return by tag; none where there is no such file */
    static Map<Long, Named> read(Path file) throws IOException {
        Map<Long, Named> batteries = new LinkedHashMap<>();
        if (!Files.exists(file)) {
            return batteries;
        }
        for (Tagged one : LinesFile.read(file, BatteriesFile::tagged)) {
            batteries.put(one.tag(), one.named());
        }
        return batteries;
    }

    private record Tagged(long tag, Named named) {}

    private static Tagged tagged(CSVRecord line) {
        HandOrder plugged = new HandOrder(
                HandOrder.Act.PLUG,
                0,
                Long.parseLong(line.get("tag")),
                Integer.parseInt(line.get("cells")),
                (int) Math.round(10 * Double.parseDouble(line.get("capacity_ah"))),
                Integer.parseInt(line.get("empty")),
                Integer.parseInt(line.get("full")),
                Integer.parseInt(line.get("missing")),
                0,
                0,
                0);
        RoomBattery battery = SimulatedRoom.battery(plugged);
        battery.take(plugged.missing() / 1000.0);
        return new Tagged(plugged.tag(), new Named(line.get("code"), battery));
    }
}
