package org.ostendum.app.setup;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.people.Person;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Component;

/** Who could take a round today, and where he would rinse his eyes. */
@Component
class ReadyPeople {
    private final People people;
    private final Trainings trainings;
    private final Rooms rooms;
    private final Stations stations;
    private final BatteryStates states;
    private final ZoneId zone;

    ReadyPeople(People people, Trainings trainings, Rooms rooms, Stations stations, BatteryStates states, ZoneId zone) {
        this.people = people;
        this.trainings = trainings;
        this.rooms = rooms;
        this.stations = stations;
        this.states = states;
        this.zone = zone;
    }

    int all() {
        return people.all().size();
    }

    /** @return who may take a round today */
    int trained() {
        LocalDate today = LocalDate.ofInstant(states.instant(), zone);
        Rules rules = states.rulebook().siteRules();
        Map<Long, Trained> trained = trainings.all();
        return (int) people.all().stream()
                .filter(Person::active)
                .filter(p -> trained.getOrDefault(p.id(), Trained.NOTHING).counts(Training.BATTERY_CARE, today, rules))
                .count();
    }

    /** @return eyewash stations that can be relied on today */
    int stationsToRelyOn() {
        Rules rules = states.rulebook().siteRules();
        return (int) rooms.names().stream()
                .flatMap(room -> stations.of(room.id()).stream())
                .filter(s -> s.state().standing(states.instant(), zone, rules).canBeReliedOn())
                .count();
    }
}
