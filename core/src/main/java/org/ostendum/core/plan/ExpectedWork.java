package org.ostendum.core.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.statistics.Robust;

/** What a day's work takes out of a battery, learned by the day of the week from what batteries of its kind have worked. */
public final class ExpectedWork {
    /** Below it a weekday tells no more than all days together. */
    private static final int LEAST = 4;

    private final Map<DayOfWeek, List<Double>> byDay = new EnumMap<>(DayOfWeek.class);
    private final List<Double> all = new ArrayList<>();

    private ExpectedWork() {}

    /** @param batteries each with what it has worked */
    public static ExpectedWork of(Collection<List<BatteryEvent.Worked>> batteries, ZoneId zone) {
        ExpectedWork work = new ExpectedWork();
        for (List<BatteryEvent.Worked> one : batteries) {
            Map<LocalDate, Double> days = new HashMap<>();
            for (BatteryEvent.Worked worked : one) {
                AmpHours taken = worked.taken();
                if (taken != null) {
                    days.merge(LocalDate.ofInstant(worked.at(), zone), taken.ampHours(), Double::sum);
                }
            }
            days.forEach(work::add);
        }
        return work;
    }

    private void add(LocalDate day, double ah) {
        byDay.computeIfAbsent(day.getDayOfWeek(), any -> new ArrayList<>()).add(ah);
        all.add(ah);
    }

    /** @return Ah of a usual such day; empty where nothing is on record */
    public OptionalDouble on(DayOfWeek day) {
        List<Double> known = byDay.getOrDefault(day, List.of());
        List<Double> asked = known.size() < LEAST ? all : known;
        return asked.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Robust.median(
                        asked.stream().mapToDouble(Double::doubleValue).toArray()));
    }
}
