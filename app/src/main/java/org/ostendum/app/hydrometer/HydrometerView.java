package org.ostendum.app.hydrometer;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Option;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.room.RoomPlan;

/**
 * What the page on which hydrometers are compared shows.
 *
 * @param shift by which the whole room reads otherwise; null where it does not
 * @param seen what was on record when it was shown, by which a clash is told
 */
record HydrometerView(RoomPlan room, @Nullable SharedShift shift, List<Option> results, String seen) {}
