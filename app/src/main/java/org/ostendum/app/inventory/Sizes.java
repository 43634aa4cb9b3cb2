package org.ostendum.app.inventory;

import static org.ostendum.app.db.jooq.Tables.MACHINE_BAY;
import static org.ostendum.app.db.jooq.Tables.MODEL_SIZE;

import java.util.Map;
import org.jooq.DSLContext;
import org.ostendum.core.battery.CaseSize;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** How large the models are, and how much room each machine has for a battery; only what was measured. */
@Repository
public class Sizes {
    private final DSLContext sql;

    Sizes(DSLContext sql) {
        this.sql = sql;
    }

    /** @return by the model's id */
    public Map<Long, CaseSize> ofModels() {
        return sql.selectFrom(MODEL_SIZE)
                .fetchMap(MODEL_SIZE.MODEL_ID, r -> new CaseSize(r.getLengthMm(), r.getWidthMm(), r.getHeightMm()));
    }

    /** @return by the machine's id */
    public Map<Long, CaseSize> ofBays() {
        return sql.selectFrom(MACHINE_BAY)
                .fetchMap(MACHINE_BAY.MACHINE_ID, r -> new CaseSize(r.getLengthMm(), r.getWidthMm(), r.getHeightMm()));
    }

    /** In the place of all that was measured before. */
    @Transactional
    public void keep(Map<Long, CaseSize> models, Map<Long, CaseSize> bays) {
        sql.deleteFrom(MODEL_SIZE).execute();
        sql.deleteFrom(MACHINE_BAY).execute();
        models.forEach((model, size) -> sql.insertInto(MODEL_SIZE)
                .set(MODEL_SIZE.MODEL_ID, model)
                .set(MODEL_SIZE.LENGTH_MM, (short) size.length())
                .set(MODEL_SIZE.WIDTH_MM, (short) size.width())
                .set(MODEL_SIZE.HEIGHT_MM, (short) size.height())
                .execute());
        bays.forEach((machine, size) -> sql.insertInto(MACHINE_BAY)
                .set(MACHINE_BAY.MACHINE_ID, machine)
                .set(MACHINE_BAY.LENGTH_MM, (short) size.length())
                .set(MACHINE_BAY.WIDTH_MM, (short) size.width())
                .set(MACHINE_BAY.HEIGHT_MM, (short) size.height())
                .execute());
    }
}
