package org.ostendum.web.store;

import static org.ostendum.web.store.jooq.Tables.CHARGE_SCHOOL;

import java.util.EnumMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.ostendum.core.event.ChargeKind;
import org.springframework.stereotype.Repository;

/** How each class of machines is usually charged, where the site has said. */
@Repository
public class ChargeSchools {
    private final DSLContext sql;

    ChargeSchools(DSLContext sql) {
        this.sql = sql;
    }

    public Map<MachineKind, ChargeKind> all() {
        Map<MachineKind, ChargeKind> schools = new EnumMap<>(MachineKind.class);
        sql.selectFrom(CHARGE_SCHOOL)
                .forEach(r ->
                        schools.put(MachineKind.valueOf(r.getMachineKind()), ChargeKind.valueOf(r.getChargeKind())));
        return schools;
    }

    public void choose(MachineKind machine, ChargeKind kind) {
        sql.insertInto(CHARGE_SCHOOL)
                .set(CHARGE_SCHOOL.MACHINE_KIND, machine.name())
                .set(CHARGE_SCHOOL.CHARGE_KIND, kind.name())
                .onDuplicateKeyUpdate()
                .set(CHARGE_SCHOOL.CHARGE_KIND, kind.name())
                .execute();
    }
}
