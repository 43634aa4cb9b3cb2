/** The watering walk: who wants water, how much, what was poured. */
@NullMarked
package org.ostendum.app.watering;

import org.jspecify.annotations.NullMarked;
