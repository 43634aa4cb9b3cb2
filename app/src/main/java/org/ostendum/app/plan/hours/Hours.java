package org.ostendum.app.plan.hours;

import static org.ostendum.app.db.jooq.Tables.MACHINE_HOURS;
import static org.ostendum.app.db.jooq.Tables.OPEN_HOURS;
import static org.ostendum.app.db.jooq.Tables.PERSON_HOURS;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** When machines are needed, people are there and the house is open, week by week. */
@Repository
public class Hours {
    private static final int DAY = 24 * 60;

    private final DSLContext sql;

    Hours(DSLContext sql) {
        this.sql = sql;
    }

    public List<WeekHours> ofMachines() {
        return sql.selectFrom(MACHINE_HOURS)
                .orderBy(MACHINE_HOURS.MACHINE_ID, MACHINE_HOURS.WEEKDAY, MACHINE_HOURS.FROM_MINUTE)
                .fetch(r -> new WeekHours(
                        r.getId(),
                        r.getMachineId(),
                        DayOfWeek.of(r.getWeekday()),
                        time(r.getFromMinute()),
                        time(r.getUntilMinute()),
                        r.getAh()));
    }

    /** @return when people are there */
    public List<WeekHours> ofPeople() {
        return ofPeople(false);
    }

    /** @return when nothing is planned for them where it can be helped */
    public List<WeekHours> quietOfPeople() {
        return ofPeople(true);
    }

    /** @return when the house is open; none for always */
    public List<WeekHours> ofHouse() {
        return sql.selectFrom(OPEN_HOURS)
                .orderBy(OPEN_HOURS.WEEKDAY, OPEN_HOURS.FROM_MINUTE)
                .fetch(r -> new WeekHours(
                        r.getId(),
                        WeekHours.OF_HOUSE,
                        DayOfWeek.of(r.getWeekday()),
                        time(r.getFromMinute()),
                        time(r.getUntilMinute()),
                        null));
    }

    private List<WeekHours> ofPeople(boolean quiet) {
        return sql.selectFrom(PERSON_HOURS)
                .where(PERSON_HOURS.QUIET.eq(quiet))
                .orderBy(PERSON_HOURS.PERSON_ID, PERSON_HOURS.WEEKDAY, PERSON_HOURS.FROM_MINUTE)
                .fetch(r -> new WeekHours(
                        r.getId(),
                        r.getPersonId(),
                        DayOfWeek.of(r.getWeekday()),
                        time(r.getFromMinute()),
                        time(r.getUntilMinute()),
                        null));
    }

    private static LocalTime time(int minute) {
        return LocalTime.of(minute / 60 % 24, minute % 60);
    }

    private static short minute(LocalTime time) {
        return (short) ((time.getHour() * 60 + time.getMinute()) % DAY);
    }

    /** A machine is needed; one that begins at the same time of the same day is changed. */
    public void needMachine(long machineId, DayOfWeek day, LocalTime from, LocalTime until, @Nullable Double ah) {
        sql.insertInto(MACHINE_HOURS)
                .set(MACHINE_HOURS.MACHINE_ID, machineId)
                .set(MACHINE_HOURS.WEEKDAY, (byte) day.getValue())
                .set(MACHINE_HOURS.FROM_MINUTE, minute(from))
                .set(MACHINE_HOURS.UNTIL_MINUTE, minute(until))
                .set(MACHINE_HOURS.AH, ah)
                .onDuplicateKeyUpdate()
                .set(MACHINE_HOURS.UNTIL_MINUTE, minute(until))
                .set(MACHINE_HOURS.AH, ah)
                .execute();
    }

    /** A person is there; one that begins at the same time of the same day is changed. */
    public void personThere(long personId, DayOfWeek day, LocalTime from, LocalTime until) {
        keepOfPerson(personId, false, day, from, until);
    }

    /** The same for a time in which a person is left alone. */
    public void personQuiet(long personId, DayOfWeek day, LocalTime from, LocalTime until) {
        keepOfPerson(personId, true, day, from, until);
    }

    /** The same for a time in which the house is open. */
    public void houseOpen(DayOfWeek day, LocalTime from, LocalTime until) {
        sql.insertInto(OPEN_HOURS)
                .set(OPEN_HOURS.WEEKDAY, (byte) day.getValue())
                .set(OPEN_HOURS.FROM_MINUTE, minute(from))
                .set(OPEN_HOURS.UNTIL_MINUTE, minute(until))
                .onDuplicateKeyUpdate()
                .set(OPEN_HOURS.UNTIL_MINUTE, minute(until))
                .execute();
    }

    private void keepOfPerson(long personId, boolean quiet, DayOfWeek day, LocalTime from, LocalTime until) {
        sql.insertInto(PERSON_HOURS)
                .set(PERSON_HOURS.PERSON_ID, personId)
                .set(PERSON_HOURS.QUIET, quiet)
                .set(PERSON_HOURS.WEEKDAY, (byte) day.getValue())
                .set(PERSON_HOURS.FROM_MINUTE, minute(from))
                .set(PERSON_HOURS.UNTIL_MINUTE, minute(until))
                .onDuplicateKeyUpdate()
                .set(PERSON_HOURS.UNTIL_MINUTE, minute(until))
                .execute();
    }

    public void removeOfMachine(long id) {
        sql.deleteFrom(MACHINE_HOURS).where(MACHINE_HOURS.ID.eq(id)).execute();
    }

    public void removeOfHouse(long id) {
        sql.deleteFrom(OPEN_HOURS).where(OPEN_HOURS.ID.eq(id)).execute();
    }

    public void removeOfPerson(long id) {
        sql.deleteFrom(PERSON_HOURS).where(PERSON_HOURS.ID.eq(id)).execute();
    }
}
