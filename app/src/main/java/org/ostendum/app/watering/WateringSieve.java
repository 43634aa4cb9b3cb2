package org.ostendum.app.watering;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which stops of the walk are shown: those whose time has come or comes within the week, those somebody looks for, or all.
 *
 * @param find part of a code, a place or an owner; empty for nothing
 */
record WateringSieve(String find, boolean all) {
    static final WateringSieve DUE = new WateringSieve("", false);

    private static final int SOON_DAYS = 7;
    /** More is no walk. */
    private static final int MOST = 60;

    /** @param typed whether something stands in the form of a stop: that is never left out */
    List<WateringViews.Stop> of(List<WateringViews.Stop> walk, Predicate<WateringViews.Stop> typed) {
        List<WateringViews.Stop> wanted = walk.stream()
                .filter(stop -> find.isEmpty() ? all || isNear(stop) : holds(stop))
                .toList();
        Set<Long> shown = wanted.stream()
                .limit(all ? wanted.size() : MOST)
                .map(stop -> stop.battery().id())
                .collect(Collectors.toSet());
        return walk.stream()
                .filter(stop -> shown.contains(stop.battery().id()) || typed.test(stop))
                .toList();
    }

    private static boolean isNear(WateringViews.Stop stop) {
        return stop.wants() != WateringViews.Stop.Wants.NOTHING || stop.daysLeft() <= SOON_DAYS;
    }

    private boolean holds(WateringViews.Stop stop) {
        String wanted = find.toLowerCase(Locale.ROOT);
        return Stream.of(
                        stop.battery().code(),
                        String.valueOf(stop.battery().place()),
                        String.valueOf(stop.battery().waterOwner()))
                .anyMatch(text -> text.toLowerCase(Locale.ROOT).contains(wanted));
    }
}
