package org.ostendum.app.charge;

import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.min;
import static org.ostendum.app.db.jooq.Tables.CHARGE_FOLD;
import static org.ostendum.app.db.jooq.Tables.CHARGE_PILOT;
import static org.ostendum.app.db.jooq.Tables.CHARGE_SAMPLE;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record1;
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

    /** What a device has read of a battery. */
    public record DeviceSample(long batteryId, ChargeSample sample) {}

    /** Keeps what devices have read; nobody stands for it by name. */
    public void addOfDevices(List<DeviceSample> read) {
        if (read.isEmpty()) {
            return;
        }
        sql.batch(read.stream().map(this::insertion).toList()).execute();
    }

    private Query insertion(DeviceSample read) {
        @Nullable Celsius celsius = read.sample().celsius();
        return sql.insertInto(CHARGE_SAMPLE)
                .set(CHARGE_SAMPLE.BATTERY_ID, read.batteryId())
                .set(CHARGE_SAMPLE.AT, read.sample().at())
                .set(CHARGE_SAMPLE.MILLIVOLTS, read.sample().volts().millivolts())
                .set(CHARGE_SAMPLE.AMPS_TENTHS, (int)
                        Math.round(read.sample().amperes().amperes() * 10))
                .set(CHARGE_SAMPLE.CELSIUS_TENTHS, celsius == null ? null : (Short) (short) celsius.tenths())
                .onDuplicateKeyIgnore();
    }

    /** Drops of a battery's device samples within a time all that are not to be kept; what people read stays. */
    public void keepOnly(long batteryId, Instant from, Instant to, List<Instant> kept) {
        sql.deleteFrom(CHARGE_SAMPLE)
                .where(CHARGE_SAMPLE.BATTERY_ID.eq(batteryId))
                .and(CHARGE_SAMPLE.PERSON_ID.isNull())
                .and(CHARGE_SAMPLE.AT.ge(from).and(CHARGE_SAMPLE.AT.lt(to)))
                .and(CHARGE_SAMPLE.AT.notIn(kept))
                .execute();
    }

    /** @return batteries of which a device has read something within a time */
    public List<Long> readByDevices(Instant from, Instant to) {
        return sql.selectDistinct(CHARGE_SAMPLE.BATTERY_ID)
                .from(CHARGE_SAMPLE)
                .where(CHARGE_SAMPLE.PERSON_ID.isNull())
                .and(CHARGE_SAMPLE.AT.ge(from).and(CHARGE_SAMPLE.AT.lt(to)))
                .fetch(CHARGE_SAMPLE.BATTERY_ID);
    }

    /** @return up to when old samples have been thinned; empty for never */
    public Optional<Instant> foldedBefore() {
        return sql.select(max(CHARGE_FOLD.FOLDED_BEFORE)).from(CHARGE_FOLD).fetchOptional(Record1::value1);
    }

    public Optional<Instant> firstOfDevices() {
        return sql.select(min(CHARGE_SAMPLE.AT))
                .from(CHARGE_SAMPLE)
                .where(CHARGE_SAMPLE.PERSON_ID.isNull())
                .fetchOptional(Record1::value1);
    }

    public void foldedBefore(Instant before) {
        sql.insertInto(CHARGE_FOLD)
                .set(CHARGE_FOLD.FOLDED_BEFORE, before)
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
