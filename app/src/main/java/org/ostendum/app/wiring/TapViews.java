package org.ostendum.app.wiring;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Rounds;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.TapRelief;
import org.ostendum.core.wiring.TapWear;
import org.ostendum.core.wiring.Wiring;
import org.springframework.stereotype.Component;

/** Each tap of a pack with the wear of its blocks, and what would spare them, drawn. */
@Component
class TapViews {
    /** About two years of rounds on a car. */
    private static final int ROUNDS = 60;

    private final Packs packs;
    private final Rounds rounds;
    private final BatteryStates batteryStates;

    TapViews(Packs packs, Rounds rounds, BatteryStates batteryStates) {
        this.packs = packs;
        this.rounds = rounds;
        this.batteryStates = batteryStates;
    }

    /**
     * @param since when these blocks were put under it
     * @param due whether others should take their turn by now
     * @param moved the wiring with the tap on other blocks
     * @param swapped the pack with its blocks changed round
     */
    public record TapView(
            TapWear wear, TapRelief relief, Instant since, boolean due, WiringDrawing moved, BlockSwap swapped) {
        public Tap tap() {
            return wear.tap();
        }
    }

    List<TapView> of(Battery battery, Pack pack) {
        if (pack.taps().isEmpty()) {
            return List.of();
        }
        BatteryState state = batteryStates.stateOf(battery);
        List<Round> history = rounds.history(battery.id(), ROUNDS).stream()
                .map(round -> state.cells().asTheyStand(round.past()).round())
                .toList();
        Map<String, Instant> since = packs.tapsSince(battery.id());
        return pack.taps().stream()
                .map(tap -> view(battery, pack, tap, history, since.getOrDefault(tap.name(), state.asOf()), state))
                .toList();
    }

    private static TapView view(
            Battery battery, Pack pack, Tap tap, List<Round> history, Instant hung, BatteryState state) {
        int perBlock = pack.layout().cellsPerCase();
        Instant since = state.sameBlocksSince(hung);
        TapRelief relief = TapRelief.of(tap, pack.blocks());
        Duration turn = state.rules().duration(RuleKey.TAP_TURN);
        return new TapView(
                TapWear.of(tap, perBlock, history),
                relief,
                since,
                Duration.between(since, state.asOf()).compareTo(turn) >= 0,
                WiringDrawing.of(
                        Wiring.whole(Pack.of(
                                pack.layout(),
                                pack.taps().stream()
                                        .map(t -> t.equals(tap) ? relief.elsewhere() : t)
                                        .toList(),
                                pack.fittings())),
                        battery.type().cablesLeft(),
                        null),
                BlockSwap.of(battery, relief.from(pack.blocks())));
    }
}
