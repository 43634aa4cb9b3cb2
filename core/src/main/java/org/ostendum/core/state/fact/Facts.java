package org.ostendum.core.state.fact;

import org.ostendum.core.event.BatteryEvent;

/**
 * Everything that a battery's events have left behind, as of the last of them. Immutable, and enough to go on from: the fold of
 * a beginning and then of the rest is the fold of all.
 */
public record Facts(
        ChargeFacts charge,
        WaterFacts water,
        Condition condition,
        Care care,
        CellFacts cells,
        Tests tests,
        Signatures signatures,
        KitFacts kit) {
    public static final Facts NOTHING = new Facts(
            ChargeFacts.NOTHING,
            WaterFacts.NOTHING,
            Condition.NOTHING,
            Care.NOTHING,
            CellFacts.NOTHING,
            Tests.NOTHING,
            Signatures.NOTHING,
            KitFacts.NOTHING);

    /** @param event not before those already folded; a round goes through the fold of rounds instead */
    public Facts after(BatteryEvent event, Sheet sheet) {
        ChargeFacts now = charge.after(event, sheet);
        return new Facts(
                now,
                water.after(
                        event, new WaterFacts.Turn(charge, now), cells.bridged().keySet(), sheet),
                condition.after(event),
                care.after(event),
                cells.after(event, sheet),
                tests.after(event, now),
                signatures.after(event, sheet),
                kit.after(event, water.overMark(sheet.model().levels())));
    }

    public Facts with(ChargeFacts now) {
        return new Facts(now, water, condition, care, cells, tests.with(now), signatures, kit);
    }

    public Facts with(WaterFacts now) {
        return new Facts(charge, now, condition, care, cells, tests, signatures, kit);
    }

    public Facts with(Condition now) {
        return new Facts(charge, water, now, care, cells, tests, signatures, kit);
    }

    public Facts with(Care now) {
        return new Facts(charge, water, condition, now, cells, tests, signatures, kit);
    }
}
