package org.ostendum.app.wiring;

import java.util.List;
import java.util.Objects;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.life.BlockChoice;
import org.ostendum.core.life.BlockWay;
import org.ostendum.core.life.Prices;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.wiring.Pack;
import org.springframework.stereotype.Component;

/** Blocks of a pack with a cell beyond anything but renewal, and what each way out costs. */
@Component
class BadBlocks {
    private static final int LOOKED_BACK = 2_000;

    private final BatteryStates batteryStates;
    private final Ledger ledger;

    BadBlocks(BatteryStates batteryStates, Ledger ledger) {
        this.batteryStates = batteryStates;
        this.ledger = ledger;
    }

    /**
     * @param blocks by their numbers
     * @param choice null where nobody has said what the model costs
     * @param kept the line that says which way was taken; null while nobody has chosen
     */
    public record BadBlock(
            List<Integer> blocks, int cyclesDone, @Nullable BlockChoice choice, @Nullable LedgerEntry kept) {
        /** What the line says. */
        public String keptAs() {
            return kept == null
                    ? ""
                    : Objects.requireNonNullElse(
                            kept.told(LedgerPayload.Remark.class).remark(), "");
        }

        /** @return the way that costs least a cycle; null where that cannot be said */
        @Nullable
        BlockWay reckoned() {
            return choice == null ? null : choice.isOne() ? BlockWay.ONE : BlockWay.ALL;
        }
    }

    /** @return null where every block is sound, as far as it was read */
    @Nullable
    BadBlock of(Battery battery, Pack pack) {
        int perBlock = pack.layout().cellsPerCase();
        TreeSet<Integer> bad = new TreeSet<>();
        BatteryState state = batteryStates.stateOf(battery);
        state.cellsToRenew().forEach(cell -> bad.add((cell - 1) / perBlock + 1));
        if (bad.isEmpty()) {
            return null;
        }
        int done = state.charging().cycles().onRecord();
        @Nullable Prices prices = battery.type().prices();
        return new BadBlock(
                List.copyOf(bad),
                done,
                prices == null ? null : BlockChoice.of(prices, pack.blocks(), bad.size(), done),
                kept(battery, List.copyOf(bad)));
    }

    /** Chosen for these blocks; others that have gone bad since are chosen for anew. */
    private @Nullable LedgerEntry kept(Battery battery, List<Integer> blocks) {
        return ledger.ofBattery(battery.id(), null, LOOKED_BACK).stream()
                .filter(entry -> entry.kind() == EntryKind.NOTE && entry.correctedBySeq() == null)
                .filter(entry -> isFor(entry.told(LedgerPayload.WayOut.class), blocks))
                .findFirst()
                .orElse(null);
    }

    private static boolean isFor(LedgerPayload.WayOut taken, List<Integer> blocks) {
        return taken.way() != null && blocks.equals(taken.blocks());
    }
}
