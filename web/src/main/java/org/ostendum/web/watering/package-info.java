/** The watering walk: who wants water, how much, what was poured. */
@NullMarked
package org.ostendum.web.watering;

import org.jspecify.annotations.NullMarked;
