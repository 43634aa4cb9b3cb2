package org.ostendum.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.app.storage.Stays;
import org.ostendum.app.storage.Storing;
import org.ostendum.core.storage.Climate;

/** A row of cars put away in an unheated shed, whose date is near; one of them hangs on a charger that stops by itself. */
class DemoStorage {
    /** Means and coldest nights, °C, January to December. */
    private static final int[][] SHED = {
        {-2, -14}, {-1, -13}, {4, -7}, {9, -2}, {14, 3}, {17, 7}, {19, 9}, {19, 9}, {15, 5}, {9, 0}, {4, -6}, {0, -11}
    };

    private static final Duration AFTER_ITS_ROUND = Duration.ofHours(2);
    private static final Supply[] ON = {Supply.NOTHING, Supply.MAINTAINS, Supply.STOPS};

    private final Stays stays;
    private final Storing storing;
    private final BatteryStates states;
    private final Batteries batteries;
    private final People people;

    DemoStorage(Stays stays, Storing storing, BatteryStates states, Batteries batteries, People people) {
        this.stays = stays;
        this.storing = storing;
        this.states = states;
        this.batteries = batteries;
        this.people = people;
    }

    void fill() {
        List<Climate.Month> months = new ArrayList<>();
        for (int[] month : SHED) {
            months.add(new Climate.Month(month[0], month[1]));
        }
        long shed = stays.keep("Unheated shed", new Climate(months));
        long tom = people.byLogin("tom").orElseThrow().id();
        for (int i = 0; i < Lanternmoor.PUT_AWAY.size(); i++) {
            Battery battery = batteries.byCode(Lanternmoor.PUT_AWAY.get(i)).orElseThrow();
            Instant read = Objects.requireNonNull(states.stateOf(battery).roundAt());
            Instant since = read.plus(AFTER_ITS_ROUND);
            storing.putAway(battery, shed, ON[i], tom, since);
        }
    }
}
