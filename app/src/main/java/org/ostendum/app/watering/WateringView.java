package org.ostendum.app.watering;

import java.util.List;
import org.ostendum.app.watering.WateringViews.Stop;
import org.ostendum.app.words.Measures;
import org.ostendum.core.water.WaterQuality;

/**
 * The watering walk.
 *
 * @param find what was asked for; empty for what is due
 * @param walk the stops that are shown
 * @param untold how many are not
 * @param due how many want water now
 * @param blocked how many are due and want something else first
 * @param totals poured of late, and what it cost
 * @param metered whether a cart tells what it has poured
 * @param measures of the reader
 */
record WateringView(
        String find,
        List<Stop> walk,
        int untold,
        long due,
        long blocked,
        WaterQuality quality,
        WateringViews.Totals totals,
        boolean metered,
        Measures measures) {
    public String unit() {
        return measures.unit("ml");
    }
}
