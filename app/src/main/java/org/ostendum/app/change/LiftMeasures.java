package org.ostendum.app.change;

import static org.ostendum.app.db.jooq.Tables.CHANGER_BEAM;
import static org.ostendum.app.db.jooq.Tables.MACHINE_ROLLERS;
import static org.ostendum.app.db.jooq.Tables.MODEL_EYES;
import static org.ostendum.app.db.jooq.Tables.SLOT;
import static org.ostendum.app.db.jooq.Tables.STAND_ROLLERS;

import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Sizes;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.change.Beam;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What was measured once so that hooks and roller beds are set right each time: beams, eyes, heights of rollers. */
@Repository
public class LiftMeasures {
    private final DSLContext sql;
    private final Sizes sizes;

    LiftMeasures(DSLContext sql, Sizes sizes) {
        this.sql = sql;
        this.sizes = sizes;
    }

    /**
     * The beam of a hoist.
     *
     * @param limitKilograms that is stamped on it; null where nobody has said
     */
    public record Hoist(Beam beam, @Nullable Integer limitKilograms) {}

    /** A tier of a stand. */
    public record Tier(long stand, int tier) {}

    /** All of them; heights, distances and sizes in mm; each by the id of what was measured. */
    public record All(
            Map<Long, Hoist> hoists,
            Map<Long, Integer> eyes,
            Map<Long, Integer> machines,
            Map<Tier, Integer> tiers,
            Map<Long, CaseSize> models,
            Map<Long, CaseSize> bays) {
        int count() {
            return hoists.size() + eyes.size() + machines.size() + tiers.size() + models.size() + bays.size();
        }
    }

    /** @return how many measures are on record */
    public int count() {
        return all().count();
    }

    All all() {
        return new All(
                sql.selectFrom(CHANGER_BEAM).fetchMap(CHANGER_BEAM.STATION_ID, LiftMeasures::hoist),
                sql.selectFrom(MODEL_EYES).fetchMap(MODEL_EYES.MODEL_ID, r -> (int) r.getEyesMm()),
                sql.selectFrom(MACHINE_ROLLERS).fetchMap(MACHINE_ROLLERS.MACHINE_ID, r -> (int) r.getHeightMm()),
                sql.selectFrom(STAND_ROLLERS)
                        .fetchMap(r -> new Tier(r.getStandId(), r.getTier()), r -> (int) r.getHeightMm()),
                sizes.ofModels(),
                sizes.ofBays());
    }

    private static Hoist hoist(Record r) {
        @Nullable Short limit = r.get(CHANGER_BEAM.LIMIT_KG);
        return new Hoist(
                new Beam(
                        r.get(CHANGER_BEAM.FIRST_MM),
                        r.get(CHANGER_BEAM.STEP_MM),
                        r.get(CHANGER_BEAM.NOTCHES),
                        r.get(CHANGER_BEAM.CHAIN_MM)),
                limit == null ? null : (Integer) limit.intValue());
    }

    Optional<Hoist> hoist(long station) {
        return sql.selectFrom(CHANGER_BEAM)
                .where(CHANGER_BEAM.STATION_ID.eq(station))
                .fetchOptional(LiftMeasures::hoist);
    }

    /** @return mm from middle to middle; empty where nobody has measured */
    Optional<Integer> eyes(long model) {
        return sql.selectFrom(MODEL_EYES).where(MODEL_EYES.MODEL_ID.eq(model)).fetchOptional(r -> (int) r.getEyesMm());
    }

    /** @return mm over the floor of the rollers in a machine's bay; empty where nobody has measured */
    Optional<Integer> rollersOfMachine(long machine) {
        return sql.selectFrom(MACHINE_ROLLERS)
                .where(MACHINE_ROLLERS.MACHINE_ID.eq(machine))
                .fetchOptional(r -> (int) r.getHeightMm());
    }

    /** @return the same of the tier that a place is on */
    Optional<Integer> rollersOfPlace(long slot) {
        return sql.select(STAND_ROLLERS.HEIGHT_MM)
                .from(SLOT)
                .join(STAND_ROLLERS)
                .on(STAND_ROLLERS.STAND_ID.eq(SLOT.STAND_ID).and(STAND_ROLLERS.TIER.eq(SLOT.TIER)))
                .where(SLOT.ID.eq(slot))
                .fetchOptional(r -> (int) r.value1());
    }

    void keepEyes(long model, int millimetres) {
        sql.insertInto(MODEL_EYES)
                .set(MODEL_EYES.MODEL_ID, model)
                .set(MODEL_EYES.EYES_MM, (short) millimetres)
                .onDuplicateKeyUpdate()
                .set(MODEL_EYES.EYES_MM, (short) millimetres)
                .execute();
    }

    /** In the place of all that was measured before. */
    @Transactional
    public void keep(All all) {
        sql.deleteFrom(CHANGER_BEAM).execute();
        sql.deleteFrom(MODEL_EYES).execute();
        sql.deleteFrom(MACHINE_ROLLERS).execute();
        sql.deleteFrom(STAND_ROLLERS).execute();
        sizes.keep(all.models(), all.bays());
        all.hoists().forEach(this::keepHoist);
        all.eyes().forEach(this::keepEyes);
        all.machines().forEach((machine, height) -> sql.insertInto(MACHINE_ROLLERS)
                .set(MACHINE_ROLLERS.MACHINE_ID, machine)
                .set(MACHINE_ROLLERS.HEIGHT_MM, height.shortValue())
                .execute());
        all.tiers().forEach((tier, height) -> sql.insertInto(STAND_ROLLERS)
                .set(STAND_ROLLERS.STAND_ID, tier.stand())
                .set(STAND_ROLLERS.TIER, (short) tier.tier())
                .set(STAND_ROLLERS.HEIGHT_MM, height.shortValue())
                .execute());
    }

    private void keepHoist(long station, Hoist hoist) {
        @Nullable Integer limit = hoist.limitKilograms();
        sql.insertInto(CHANGER_BEAM)
                .set(CHANGER_BEAM.STATION_ID, station)
                .set(CHANGER_BEAM.FIRST_MM, (short) hoist.beam().firstMillimetres())
                .set(CHANGER_BEAM.STEP_MM, (short) hoist.beam().stepMillimetres())
                .set(CHANGER_BEAM.NOTCHES, (short) hoist.beam().notches())
                .set(CHANGER_BEAM.CHAIN_MM, (short) hoist.beam().chainMillimetres())
                .set(CHANGER_BEAM.LIMIT_KG, limit == null ? null : (Short) limit.shortValue())
                .execute();
    }
}
