package org.ostendum.app.aircraft;

import static org.ostendum.app.db.jooq.Tables.FLIGHT_HOURS;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Hours flown, one figure for each aircraft and day. */
@Repository
class FlightHours {
    private final DSLContext sql;

    FlightHours(DSLContext sql) {
        this.sql = sql;
    }

    /** What an aircraft flew on a day. */
    record Flown(long machine, LocalDate day, double hours) {}

    /** @return what was said of that day so far */
    Optional<Double> on(long machineId, LocalDate day) {
        return sql.select(FLIGHT_HOURS.HOURS)
                .from(FLIGHT_HOURS)
                .where(FLIGHT_HOURS.MACHINE_ID.eq(machineId).and(FLIGHT_HOURS.FLOWN_ON.eq(day)))
                .fetchOptional(FLIGHT_HOURS.HOURS);
    }

    /** Said again for the same day it is the new figure. */
    void keep(Flown flown, long by) {
        sql.insertInto(FLIGHT_HOURS)
                .set(FLIGHT_HOURS.MACHINE_ID, flown.machine())
                .set(FLIGHT_HOURS.FLOWN_ON, flown.day())
                .set(FLIGHT_HOURS.HOURS, flown.hours())
                .set(FLIGHT_HOURS.ENTERED_BY, by)
                .onDuplicateKeyUpdate()
                .set(FLIGHT_HOURS.HOURS, flown.hours())
                .set(FLIGHT_HOURS.ENTERED_BY, by)
                .execute();
    }

    /** @return hours flown from a day on */
    double since(long machineId, LocalDate day) {
        @Nullable
        BigDecimal sum = sql.select(DSL.sum(FLIGHT_HOURS.HOURS))
                .from(FLIGHT_HOURS)
                .where(FLIGHT_HOURS.MACHINE_ID.eq(machineId).and(FLIGHT_HOURS.FLOWN_ON.ge(day)))
                .fetchSingle()
                .value1();
        return sum == null ? 0 : sum.doubleValue();
    }
}
