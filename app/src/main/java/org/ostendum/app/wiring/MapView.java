package org.ostendum.app.wiring;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.wiring.ElectricalMap;
import org.ostendum.core.wiring.Post;

/**
 * What the electrical map of a battery shows.
 *
 * @param picks posts that can be pointed at
 * @param one the first post that a tool touches; null while none is picked
 * @param other the second one; null likewise
 * @param between what lies between the two; null until both are picked
 */
record MapView(
        Battery battery,
        BatteryDrawing drawing,
        List<MapController.Pick> picks,
        @Nullable Post one,
        @Nullable Post other,
        ElectricalMap.@Nullable Between between) {}
