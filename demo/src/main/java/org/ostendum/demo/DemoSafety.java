package org.ostendum.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.safety.Kits;
import org.ostendum.app.safety.Stations;
import org.ostendum.core.safety.KitItem;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.Training;

/** The demo's stations and trainings: in order, but for an overdue extinguisher and an expired training. */
class DemoSafety {
    private final Stations stations;
    private final Kits kits;
    private final Trainings trainings;
    private final Clock clock;
    private final ZoneId zone;

    DemoSafety(Stations stations, Kits kits, Trainings trainings, Clock clock, ZoneId zone) {
        this.stations = stations;
        this.kits = kits;
        this.trainings = trainings;
        this.clock = clock;
        this.zone = zone;
    }

    /**
     * One thing looked after.
     *
     * @param hoursAgo of its last check
     */
    private record Kept(StationCheck kind, String name, int hoursAgo, String remark) {}

    private static final List<Kept> KEPT = List.of(
            new Kept(StationCheck.EYEWASH_FLUSH, "Eyewash by stand A", 52, ""),
            new Kept(StationCheck.EYEWASH_FLUSH, "Eyewash at the aircraft bench", 51, ""),
            new Kept(StationCheck.EYEWASH_INSPECTION, "Both eyewashes, flow", 24 * 120, "11 l a minute, 6 s away"),
            new Kept(StationCheck.SHOWER, "Shower by stand B", 53, ""),
            new Kept(StationCheck.SPILL_KIT, "Spill kit by the door", 24 * 9, ""),
            new Kept(StationCheck.VENTILATION, "Roof fan", 24 * 6, ""),
            new Kept(StationCheck.EXTINGUISHER, "Extinguisher by the door", 24 * 38, ""),
            new Kept(StationCheck.TOOLS, "Insulated tools, red board", 24 * 30, ""),
            new Kept(StationCheck.CHANGER, "Hoist over stands A and B", 24 * 12, ""),
            new Kept(StationCheck.CHANGER, "Roller bed", 24 * 12, ""),
            new Kept(StationCheck.SIGNS, "No smoking, no flame", 24 * 70, ""));

    /**
     * A thing in the spill kit.
     *
     * @param goodForDays from today, 0 where no date is printed
     */
    private record InKit(String name, int goodForDays) {}

    private static final List<InKit> IN_KIT = List.of(
            new InKit("Bags and ties", 0),
            new InKit("Gloves, first pair", 0),
            new InKit("Gloves, second pair", 0),
            new InKit("Goggles", 0),
            new InKit("Sign and tape", 0),
            new InKit("Soda, 5 kg", 210),
            new InKit("Test strips", 480),
            new InKit("Towels", 0));

    /**
     * A training held.
     *
     * @param daysAgo when
     */
    private record Held(String login, Training training, int daysAgo) {}

    private static final List<Held> HELD = List.of(
            new Held("maud", Training.BATTERY_CARE, 90),
            new Held("maud", Training.CHANGING, 90),
            new Held("maud", Training.SPILL_LEADER, 200),
            new Held("maud", Training.ACID_WORK, 120),
            new Held("tom", Training.BATTERY_CARE, 90),
            new Held("tom", Training.CHANGING, 150),
            new Held("tom", Training.CELL_REPAIR, 300),
            new Held("ines", Training.BATTERY_CARE, 30),
            new Held("ines", Training.CHANGING, 402),
            new Held("ines", Training.SPILL_LEADER, 60),
            new Held("oskar", Training.SPILL_LEADER, 45),
            new Held("oskar", Training.BATTERY_CARE, 45),
            new Held("priya", Training.BATTERY_CARE, 120),
            new Held("priya", Training.AIRCRAFT, 120));

    void fill(long roomId, Map<String, Long> persons) {
        Instant now = clock.instant();
        long oskar = persons.getOrDefault("oskar", 0L);
        LocalDate today = LocalDate.ofInstant(now, zone);
        for (Kept kept : KEPT) {
            long id = stations.add(roomId, kept.kind(), kept.name());
            stations.check(id, now.minus(Duration.ofHours(kept.hoursAgo())), true, kept.remark(), oskar);
            if (kept.kind() == StationCheck.SPILL_KIT) {
                fillKit(id, today, oskar);
            }
        }
        for (Held held : HELD) {
            long person = persons.getOrDefault(held.login(), 0L);
            trainings.hold(person, held.training(), today.minusDays(held.daysAgo()), oskar);
        }
    }

    /** What the spill of the demo's jobs has used. */
    void refill(long roomId, Map<String, Long> persons) {
        long oskar = persons.getOrDefault("oskar", 0L);
        stations.of(roomId).stream()
                .filter(station -> station.state().check() == StationCheck.SPILL_KIT)
                .forEach(kit -> stations.check(kit.id(), true, "soda and towels filled up", oskar));
    }

    private void fillKit(long station, LocalDate today, long person) {
        for (InKit thing : IN_KIT) {
            @Nullable LocalDate expires = thing.goodForDays() == 0 ? null : today.plusDays(thing.goodForDays());
            kits.write(station, new KitItem(thing.name(), true, expires), person);
        }
    }
}
