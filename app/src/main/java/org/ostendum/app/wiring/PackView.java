package org.ostendum.app.wiring;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs.CableNote;
import org.ostendum.app.photo.Photos.PhotoName;
import org.ostendum.app.wiring.TapViews.TapView;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.WorkOrder;

/**
 * A pack with its cables, before one of them comes off.
 *
 * @param together whether its cables go on, or come off
 * @param orders in which they do, one for each school
 * @param order the one that is shown
 * @param notes of what is known of a cable, by its number
 * @param cables what was done to them
 * @param bad what to do about blocks found bad; null where none is
 */
record PackView(
        Battery battery,
        Pack pack,
        WiringDrawing drawing,
        boolean together,
        List<WorkOrder> orders,
        WorkOrder order,
        Map<String, CableNote> notes,
        List<PhotoName> pictures,
        List<CableHistory.Work> cables,
        BadBlocks.@Nullable BadBlock bad,
        List<TapView> taps) {
    public List<Fitting> fittings() {
        return pack.fittings();
    }

    public List<Fitting> possible() {
        return Fitting.possible(pack);
    }

    public boolean hasOwnLayout() {
        return battery.hasOwnLayout();
    }
}
