package org.ostendum.web.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.Training;
import org.ostendum.web.store.Stations;
import org.ostendum.web.store.Trainings;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The demo's stations and trainings: in order, but for an overdue extinguisher and an expired training. */
@Component
@ConditionalOnProperty("ostendum.demo")
class DemoSafety {
    private final Stations stations;
    private final Trainings trainings;
    private final Clock clock;
    private final ZoneId zone;

    DemoSafety(Stations stations, Trainings trainings, Clock clock, ZoneId zone) {
        this.stations = stations;
        this.trainings = trainings;
        this.clock = clock;
        this.zone = zone;
    }

    /**
     * One thing looked after.
     *
     * @param hoursAgo of its last check
     * @param goodForDays of its contents, 0 where nothing expires
     */
    private record Kept(StationCheck kind, String name, int hoursAgo, int goodForDays, String remark) {}

    private static final List<Kept> KEPT = List.of(
            new Kept(StationCheck.EYEWASH_FLUSH, "Eyewash by stand A", 52, 0, ""),
            new Kept(StationCheck.EYEWASH_FLUSH, "Eyewash at the aircraft bench", 51, 0, ""),
            new Kept(StationCheck.EYEWASH_INSPECTION, "Both eyewashes, flow", 24 * 120, 0, "11 l a minute, 6 s away"),
            new Kept(StationCheck.SHOWER, "Shower by stand B", 53, 0, ""),
            new Kept(StationCheck.SPILL_KIT, "Spill kit by the door", 24 * 9, 210, "two pairs of gloves, 5 kg soda"),
            new Kept(StationCheck.VENTILATION, "Roof fan", 24 * 6, 0, ""),
            new Kept(StationCheck.EXTINGUISHER, "Extinguisher by the door", 24 * 38, 0, ""),
            new Kept(StationCheck.TOOLS, "Insulated tools, red board", 24 * 30, 0, ""),
            new Kept(StationCheck.SIGNS, "No smoking, no flame", 24 * 70, 0, ""));

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
            @Nullable LocalDate expires = kept.goodForDays() == 0 ? null : today.plusDays(kept.goodForDays());
            stations.check(id, now.minus(Duration.ofHours(kept.hoursAgo())), true, expires, kept.remark(), oskar);
        }
        for (Held held : HELD) {
            long person = persons.getOrDefault(held.login(), 0L);
            trainings.hold(person, held.training(), today.minusDays(held.daysAgo()), oskar);
        }
    }
}
