package org.ostendum.app.inventory;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.life.Prices;
import org.ostendum.core.receive.DateScheme;

/**
 * A battery model with what only people and drawings need of its sheet.
 *
 * @param levelMarkMm electrolyte above the plates at the mark, mm
 * @param levelWords where that is, in the words of the sheet
 * @param weightKg with electrolyte; 0 where nobody has said
 * @param cablesLeft whether the cables leave at the left hand
 * @param dateScheme how the maker stamps the month of making
 * @param torqueTenths tenths of a newton metre to which its posts are tightened; 0 where the sheet says nothing
 * @param connector of its cables, shape and colour in the words of the site; empty where nobody has said
 * @param opportunity whether the sheet allows short charges in the breaks
 * @param prices what it costs the site; null where nobody has said
 */
public record StoredModel(
        long id,
        BatteryModel model,
        String maker,
        int levelMarkMm,
        String levelWords,
        int weightKg,
        boolean cablesLeft,
        DateScheme dateScheme,
        int torqueTenths,
        String connector,
        boolean opportunity,
        @Nullable Prices prices) {

    /** The level is part of the sheet that the core works by. */
    public StoredModel {
        model = model.with(new LevelMarks(levelMarkMm));
    }

    public String code() {
        return model.code();
    }
}
