package org.ostendum.app.round;

import java.util.List;
import org.ostendum.app.form.Option;

/**
 * What the page on which a round is put right shows.
 *
 * @param states that it may have been taken in
 * @param state as it is on record, or as it was chosen
 * @param temperature as typed
 * @param reason as typed
 * @param seen what was on record when it was shown, by which a clash is told
 */
record CorrectRoundView(
        RoundsOnRecord.Found found,
        List<Option> states,
        String state,
        String temperature,
        String reason,
        String seen) {}
