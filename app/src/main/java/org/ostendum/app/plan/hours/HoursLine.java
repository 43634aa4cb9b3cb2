package org.ostendum.app.plan.hours;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The same hours on several days.
 *
 * @param ids of the stretches, joined by hyphens
 */
record HoursLine(List<DayOfWeek> days, LocalTime from, LocalTime until, @Nullable Double ah, String ids) {
    static Map<Long, List<HoursLine>> byOwner(List<WeekHours> all) {
        return all.stream()
                .collect(Collectors.groupingBy(
                        WeekHours::ofId, Collectors.collectingAndThen(Collectors.toList(), HoursLine::lines)));
    }

    private static List<HoursLine> lines(List<WeekHours> own) {
        Map<String, List<WeekHours>> alike = new LinkedHashMap<>();
        own.forEach(hour -> alike.computeIfAbsent(
                        hour.from() + " " + hour.until() + " " + hour.ah(), any -> new ArrayList<>())
                .add(hour));
        return alike.values().stream()
                .map(same -> new HoursLine(
                        same.stream().map(WeekHours::day).toList(),
                        same.get(0).from(),
                        same.get(0).until(),
                        same.get(0).ah(),
                        same.stream().map(hour -> String.valueOf(hour.id())).collect(Collectors.joining("-"))))
                .toList();
    }
}
