package org.ostendum.web.charging;

import java.util.EnumMap;
import java.util.Map;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.ChargeSchools;
import org.ostendum.web.store.Machine;
import org.ostendum.web.store.MachineKind;
import org.ostendum.web.store.Machines;
import org.springframework.stereotype.Service;

/** Which kind of charge is usual for a battery: the site's school for the machines it drives. */
@Service
public class Schools {
    private final ChargeSchools chosen;
    private final Machines machines;

    Schools(ChargeSchools chosen, Machines machines) {
        this.chosen = chosen;
        this.machines = machines;
    }

    /** @return for each class, what the site chose, or what is common in the trade */
    public Map<MachineKind, ChargeKind> all() {
        Map<MachineKind, ChargeKind> schools = new EnumMap<>(MachineKind.class);
        for (MachineKind kind : MachineKind.values()) {
            schools.put(kind, common(kind));
        }
        schools.putAll(chosen.all());
        return schools;
    }

    public ChargeKind usual(Battery battery) {
        MachineKind kind = battery.machineCode() == null
                ? ofDuty(battery.type().model().duty())
                : machines.byCode(battery.machineCode())
                        .map(Machine::kind)
                        .orElseGet(() -> ofDuty(battery.type().model().duty()));
        return all().getOrDefault(kind, ChargeKind.CONVENTIONAL);
    }

    /** One that stands alone is judged by what it is made for. */
    private static MachineKind ofDuty(Duty duty) {
        return switch (duty) {
            case DEEP_CYCLE -> MachineKind.GOLF_CAR;
            case AIRCRAFT -> MachineKind.AIRCRAFT;
            default -> MachineKind.FORKLIFT;
        };
    }

    private static ChargeKind common(MachineKind kind) {
        return switch (kind) {
            case GOLF_CAR, PLATFORM -> ChargeKind.AFTER_USE;
            default -> ChargeKind.CONVENTIONAL;
        };
    }
}
