package org.ostendum.app.charge;

import static org.ostendum.app.db.jooq.Tables.CHARGE_SCHOOL;

import java.util.EnumMap;
import java.util.Map;
import org.jooq.DSLContext;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.core.event.ChargeKind;
import org.springframework.stereotype.Repository;

/** How each class of machines is usually charged, where the site has said. */
@Repository
public class ChargePolicies {
    private final DSLContext sql;

    ChargePolicies(DSLContext sql) {
        this.sql = sql;
    }

    public Map<MachineKind, ChargeKind> all() {
        Map<MachineKind, ChargeKind> policies = new EnumMap<>(MachineKind.class);
        sql.selectFrom(CHARGE_SCHOOL)
                .forEach(r ->
                        policies.put(MachineKind.valueOf(r.getMachineKind()), ChargeKind.valueOf(r.getChargeKind())));
        return policies;
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
