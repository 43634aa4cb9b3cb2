package org.ostendum.web.store;

import static org.ostendum.web.store.jooq.Tables.CHARGE_PILOT;
import static org.ostendum.web.store.jooq.Tables.CHARGE_SAMPLE;

import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.springframework.stereotype.Repository;

/** What was read while batteries charged. A second reading of the same moment is the same reading. */
@Repository
public class ChargeReadings {
    private final DSLContext sql;

    ChargeReadings(DSLContext sql) {
        this.sql = sql;
    }

    /** One hydrometer reading of the pilot cell, as read. */
    public record PilotReading(Instant at, SpecificGravity gravity, Celsius temperature) {}

    public void add(long batteryId, ChargeSample sample, long personId) {
        @Nullable Celsius celsius = sample.celsius();
        sql.insertInto(CHARGE_SAMPLE)
                .set(CHARGE_SAMPLE.BATTERY_ID, batteryId)
                .set(CHARGE_SAMPLE.AT, sample.at())
                .set(CHARGE_SAMPLE.MILLIVOLTS, sample.volts().millivolts())
                .set(CHARGE_SAMPLE.AMPS_TENTHS, (int)
                        Math.round(sample.amperes().amperes() * 10))
                .set(CHARGE_SAMPLE.CELSIUS_TENTHS, celsius == null ? null : (short) celsius.tenths())
                .set(CHARGE_SAMPLE.PERSON_ID, personId)
                .onDuplicateKeyIgnore()
                .execute();
    }

    public void addPilot(long batteryId, PilotReading pilot, long personId) {
        sql.insertInto(CHARGE_PILOT)
                .set(CHARGE_PILOT.BATTERY_ID, batteryId)
                .set(CHARGE_PILOT.AT, pilot.at())
                .set(CHARGE_PILOT.SG_POINTS, (short) pilot.gravity().points())
                .set(CHARGE_PILOT.CELSIUS_TENTHS, (short) pilot.temperature().tenths())
                .set(CHARGE_PILOT.PERSON_ID, personId)
                .onDuplicateKeyIgnore()
                .execute();
    }

    /** @return oldest first */
    public List<ChargeSample> samples(long batteryId, Instant from, Instant to) {
        return sql.selectFrom(CHARGE_SAMPLE)
                .where(CHARGE_SAMPLE.BATTERY_ID.eq(batteryId).and(CHARGE_SAMPLE.AT.between(from, to)))
                .orderBy(CHARGE_SAMPLE.AT)
                .fetch(r -> new ChargeSample(
                        r.getAt(),
                        new Volts(r.getMillivolts()),
                        new Amperes(r.getAmpsTenths() / 10.0),
                        r.getCelsiusTenths() == null ? null : Celsius.of(r.getCelsiusTenths() / 10.0)));
    }

    /** @return oldest first */
    public List<PilotReading> pilots(long batteryId, Instant from, Instant to) {
        return sql.selectFrom(CHARGE_PILOT)
                .where(CHARGE_PILOT.BATTERY_ID.eq(batteryId).and(CHARGE_PILOT.AT.between(from, to)))
                .orderBy(CHARGE_PILOT.AT)
                .fetch(r -> new PilotReading(
                        r.getAt(), SpecificGravity.ofPoints(r.getSgPoints()), Celsius.of(r.getCelsiusTenths() / 10.0)));
    }
}
