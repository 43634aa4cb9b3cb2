package org.ostendum.app.ledger;

import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.ostendum.core.life.Cycles;
import org.springframework.stereotype.Component;

/** How often batteries have been charged: ten years of charges are counted anew only where there is another line. */
@Component
public class CycleCounts {
    private final Ledger ledger;
    private final ZoneId zone;
    private final ByLastLine<Cycles> counted;

    CycleCounts(Ledger ledger, ZoneId zone) {
        this.ledger = ledger;
        this.zone = zone;
        this.counted = new ByLastLine<>(ledger);
    }

    /** @return charges on record, without those that were voided */
    public Cycles of(long batteryId) {
        return Objects.requireNonNull(counted.of(List.of(batteryId), ids -> ids.stream()
                        .collect(Collectors.toMap(Function.identity(), id -> ledger.cycles(id, zone))))
                .get(batteryId));
    }
}
