package org.ostendum.app.round;

import java.util.List;
import org.ostendum.app.form.Option;
import org.ostendum.core.measure.CellReading;

/**
 * What the page on which the reading of one cell is put right shows.
 *
 * @param reading as it is on record
 * @param form as it was typed
 * @param seen what was on record when it was shown, by which a clash is told
 */
record CorrectCellView(
        RoundsOnRecord.Found found,
        CellReading reading,
        CellForm form,
        List<Option> levels,
        List<Option> colours,
        String seen) {}
