package org.ostendum.app.safety;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.core.people.Person;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState.Standing;
import org.ostendum.core.safety.Training;

/** What keeps people from harm: the things looked after in each room, and who has been trained in what. */
record SafetyView(List<RoomStations> rooms, List<PersonTrained> people) {
    /** A thing looked after and how it stands today. */
    record StationLine(Stations.Station station, Standing standing, @Nullable LocalDate due) {
        /** @return name of the severity that marks it */
        public String mark() {
            return switch (standing) {
                case READY -> "FIT";
                case SOON -> "WATCH";
                case OVERDUE, NEVER_CHECKED, FOUND_WANTING, EXPIRED ->
                    station.state().check().isNeededBeforeCaps() ? "STOP" : "ACT";
            };
        }
    }

    record RoomStations(Rooms.RoomName room, List<StationLine> lines) {}

    /** Until when one training of a person counts; null when it was never held. */
    record Until(Training training, @Nullable LocalDate until, boolean counts) {}

    record PersonTrained(Person person, List<Until> trainings) {}

    /** @return what cannot be relied on today */
    public List<StationLine> bad() {
        return rooms.stream()
                .flatMap(room -> room.lines().stream())
                .filter(line -> !line.standing().canBeReliedOn())
                .toList();
    }

    public Training[] trainings() {
        return Training.values();
    }

    public StationCheck[] checks() {
        return StationCheck.values();
    }
}
