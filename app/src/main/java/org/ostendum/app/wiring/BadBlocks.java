package org.ostendum.app.wiring;

import java.time.ZoneId;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.life.BlockChoice;
import org.ostendum.core.life.Prices;
import org.ostendum.core.wiring.Pack;
import org.springframework.stereotype.Component;

/** Blocks of a pack with a cell beyond anything but renewal, and what each way out costs. */
@Component
class BadBlocks {
    private final BatteryStates batteryStates;
    private final Ledger ledger;
    private final ZoneId zone;

    BadBlocks(BatteryStates batteryStates, Ledger ledger, ZoneId zone) {
        this.batteryStates = batteryStates;
        this.ledger = ledger;
        this.zone = zone;
    }

    /**
     * @param blocks by their numbers
     * @param choice null where nobody has said what the model costs
     */
    public record BadBlock(List<Integer> blocks, int cyclesDone, @Nullable BlockChoice choice) {}

    /** @return null where every block is sound, as far as it was read */
    @Nullable
    BadBlock of(Battery battery, Pack pack) {
        int perBlock = pack.layout().cellsPerCase();
        TreeSet<Integer> bad = new TreeSet<>();
        batteryStates.stateOf(battery).cellsToRenew().forEach(cell -> bad.add((cell - 1) / perBlock + 1));
        if (bad.isEmpty()) {
            return null;
        }
        int done = ledger.cycles(battery.id(), zone).onRecord();
        @Nullable Prices prices = battery.type().prices();
        return new BadBlock(
                List.copyOf(bad),
                done,
                prices == null ? null : BlockChoice.of(prices, pack.blocks(), bad.size(), done));
    }
}
