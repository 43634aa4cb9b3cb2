package org.ostendum.app.charge;

import java.util.EnumMap;
import java.util.Map;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.ChargeKind;
import org.springframework.stereotype.Service;

/** Which kind of charge is usual for a battery: the site's policy for the machines it drives. */
@Service
public class ChargePolicy {
    private final ChargePolicies chosen;
    private final Machines machines;

    ChargePolicy(ChargePolicies chosen, Machines machines) {
        this.chosen = chosen;
        this.machines = machines;
    }

    /** @return for each class, what the site chose, or what is common in the trade */
    public Map<MachineKind, ChargeKind> all() {
        Map<MachineKind, ChargeKind> policy = new EnumMap<>(MachineKind.class);
        for (MachineKind kind : MachineKind.values()) {
            policy.put(kind, common(kind));
        }
        policy.putAll(chosen.all());
        return policy;
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
