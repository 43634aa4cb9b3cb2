package org.ostendum.web.store;

import org.ostendum.core.battery.BatteryModel;

/**
 * A battery model with what only people and drawings need of its sheet.
 *
 * @param levelMarkMm electrolyte above the plates at the mark, mm
 * @param levelWords where that is, in the words of the sheet
 * @param cablesLeft whether the cables leave at the left hand
 */
public record StoredModel(
        long id,
        BatteryModel model,
        String maker,
        int levelMarkMm,
        String levelWords,
        int weightKg,
        boolean cablesLeft) {

    public String code() {
        return model.code();
    }
}
