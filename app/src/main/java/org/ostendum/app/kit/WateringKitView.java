package org.ostendum.app.kit;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.battery.LedgerLine;
import org.ostendum.app.draw.KitDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.state.StuckInjectors;
import org.ostendum.core.state.fact.KitFacts;

/**
 * What the page of a battery's watering kit shows.
 *
 * @param usual injector that batteries of its model have; empty for none
 * @param look that is due; null where none is
 * @param lines of its ledger that are about the kit
 */
record WateringKitView(
        Battery battery,
        KitFacts kit,
        StuckInjectors stuck,
        String usual,
        @Nullable NextThing look,
        KitDrawing drawn,
        List<LedgerLine> lines) {}
