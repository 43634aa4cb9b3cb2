package org.ostendum.app.storage;

import static org.ostendum.app.db.jooq.Tables.PERSON;
import static org.ostendum.app.db.jooq.Tables.STORAGE_LOOK;
import static org.ostendum.app.db.jooq.Tables.STORAGE_MONTH;
import static org.ostendum.app.db.jooq.Tables.STORAGE_PLACE;
import static org.ostendum.app.db.jooq.Tables.STORAGE_STAY;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.storage.Stay.Look;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.storage.Climate;
import org.springframework.stereotype.Repository;

/** Batteries put away, the places where they stand, and who looked in. */
@Repository
public class Stays {
    private static final int MONTHS = 12;

    private final DSLContext sql;

    Stays(DSLContext sql) {
        this.sql = sql;
    }

    /** A place with a name. */
    public record Place(long id, String name) {}

    public List<Place> places() {
        return sql.selectFrom(STORAGE_PLACE).orderBy(STORAGE_PLACE.NAME).fetch(r -> new Place(r.getId(), r.getName()));
    }

    /** @return the place of that name */
    Optional<Long> placeOf(String name) {
        return sql.select(STORAGE_PLACE.ID)
                .from(STORAGE_PLACE)
                .where(STORAGE_PLACE.NAME.eq(name))
                .fetchOptional(STORAGE_PLACE.ID);
    }

    /** The place of that name with this climate; one that exists gets the new one. */
    public long keep(String name, Climate climate) {
        sql.insertInto(STORAGE_PLACE)
                .set(STORAGE_PLACE.NAME, name)
                .onDuplicateKeyIgnore()
                .execute();
        long id = sql.select(STORAGE_PLACE.ID)
                .from(STORAGE_PLACE)
                .where(STORAGE_PLACE.NAME.eq(name))
                .fetchSingle()
                .value1();
        sql.deleteFrom(STORAGE_MONTH).where(STORAGE_MONTH.PLACE_ID.eq(id)).execute();
        for (int month = 1; month <= MONTHS; month++) {
            sql.insertInto(STORAGE_MONTH)
                    .set(STORAGE_MONTH.PLACE_ID, id)
                    .set(STORAGE_MONTH.MONTH, (short) month)
                    .set(STORAGE_MONTH.MEAN_C, climate.months().get(month - 1).mean())
                    .set(
                            STORAGE_MONTH.COLDEST_C,
                            climate.months().get(month - 1).coldest())
                    .execute();
        }
        return id;
    }

    /** @return by the place's id */
    Map<Long, Climate> climates() {
        Map<Long, List<Climate.Month>> months = new HashMap<>();
        sql.selectFrom(STORAGE_MONTH)
                .orderBy(STORAGE_MONTH.PLACE_ID, STORAGE_MONTH.MONTH)
                .forEach(r -> months.computeIfAbsent(r.getPlaceId(), id -> new ArrayList<>())
                        .add(new Climate.Month(r.getMeanC(), r.getColdestC())));
        Map<Long, Climate> climates = new HashMap<>();
        months.forEach((id, each) -> climates.put(id, new Climate(each)));
        return climates;
    }

    /** Where it will stand and on what, said before it is put away or afterwards. */
    public void say(long batteryId, @Nullable Long placeId, Supply supply) {
        sql.insertInto(STORAGE_STAY)
                .set(STORAGE_STAY.BATTERY_ID, batteryId)
                .set(STORAGE_STAY.OPEN_BATTERY_ID, batteryId)
                .set(STORAGE_STAY.PLACE_ID, placeId)
                .set(STORAGE_STAY.SUPPLY, supply.name())
                .onDuplicateKeyUpdate()
                .set(STORAGE_STAY.PLACE_ID, placeId)
                .set(STORAGE_STAY.SUPPLY, supply.name())
                .execute();
    }

    /** It was put away: planned here before or not. */
    void begin(long batteryId, Instant since) {
        sql.insertInto(STORAGE_STAY)
                .set(STORAGE_STAY.BATTERY_ID, batteryId)
                .set(STORAGE_STAY.OPEN_BATTERY_ID, batteryId)
                .set(STORAGE_STAY.SUPPLY, Supply.NOTHING.name())
                .set(STORAGE_STAY.SINCE, since)
                .onDuplicateKeyUpdate()
                .set(STORAGE_STAY.SINCE, since)
                .execute();
    }

    void end(long batteryId, Instant at) {
        sql.update(STORAGE_STAY)
                .set(STORAGE_STAY.ENDED_AT, at)
                .setNull(STORAGE_STAY.OPEN_BATTERY_ID)
                .where(STORAGE_STAY.OPEN_BATTERY_ID.eq(batteryId).and(STORAGE_STAY.SINCE.isNotNull()))
                .execute();
    }

    void look(
            long stayId,
            long by,
            Instant at,
            @Nullable Boolean powerOn,
            @Nullable CorrectedGravity gravity,
            String remark) {
        sql.insertInto(STORAGE_LOOK)
                .set(STORAGE_LOOK.STAY_ID, stayId)
                .set(STORAGE_LOOK.LOOKED_AT, at)
                .set(STORAGE_LOOK.LOOKED_BY, by)
                .set(STORAGE_LOOK.POWER_ON, powerOn)
                .set(STORAGE_LOOK.GRAVITY_TENTHS, gravity == null ? null : (Integer) gravity.tenths())
                .set(STORAGE_LOOK.REMARK, remark)
                .execute();
    }

    /** @return every look-in of a stay, oldest first */
    List<Look> looks(long stayId) {
        return sql.select(STORAGE_LOOK.fields())
                .select(PERSON.NAME)
                .from(STORAGE_LOOK)
                .join(PERSON)
                .on(PERSON.ID.eq(STORAGE_LOOK.LOOKED_BY))
                .where(STORAGE_LOOK.STAY_ID.eq(stayId))
                .orderBy(STORAGE_LOOK.LOOKED_AT, STORAGE_LOOK.ID)
                .fetch(Stays::look);
    }

    private static Look look(Record r) {
        Integer gravity = r.get(STORAGE_LOOK.GRAVITY_TENTHS);
        return new Look(
                r.get(STORAGE_LOOK.LOOKED_AT),
                r.get(PERSON.NAME),
                r.get(STORAGE_LOOK.POWER_ON),
                gravity == null ? null : new CorrectedGravity(gravity));
    }

    /** @return those put away and those to be, by the battery's id */
    Map<Long, Stay> open() {
        Map<Long, Stay> open = new LinkedHashMap<>();
        fetch(STORAGE_STAY.OPEN_BATTERY_ID.isNotNull()).forEach(stay -> open.put(stay.batteryId(), stay));
        return open;
    }

    public Optional<Stay> openOf(long batteryId) {
        return fetch(STORAGE_STAY.OPEN_BATTERY_ID.eq(batteryId)).stream().findFirst();
    }

    private List<Stay> fetch(Condition which) {
        List<Stay> stays = sql.select(STORAGE_STAY.fields())
                .select(STORAGE_PLACE.NAME)
                .from(STORAGE_STAY)
                .leftJoin(STORAGE_PLACE)
                .on(STORAGE_PLACE.ID.eq(STORAGE_STAY.PLACE_ID))
                .where(which)
                .orderBy(STORAGE_STAY.ID)
                .fetch(r -> new Stay(
                        r.get(STORAGE_STAY.ID),
                        r.get(STORAGE_STAY.BATTERY_ID),
                        r.get(STORAGE_STAY.PLACE_ID),
                        r.get(STORAGE_PLACE.NAME),
                        Supply.valueOf(r.get(STORAGE_STAY.SUPPLY)),
                        r.get(STORAGE_STAY.SINCE),
                        null));
        return stays.stream()
                .map(stay -> new Stay(
                        stay.id(),
                        stay.batteryId(),
                        stay.placeId(),
                        stay.place(),
                        stay.supply(),
                        stay.since(),
                        looks(stay.id()).stream().reduce((a, b) -> b).orElse(null)))
                .toList();
    }
}
