package org.ostendum.app.safety;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.KitItem;

/**
 * What the page of a station's kit shows.
 *
 * @param wanting what is missing from it or past its date
 * @param first what goes out of date first; null where nothing has a date
 */
record KitView(Stations.Station station, Kit kit, List<KitItem> wanting, @Nullable KitItem first, LocalDate today) {}
