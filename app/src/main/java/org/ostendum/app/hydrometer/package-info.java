/** Comparing the hydrometer that a room is read with. */
@NullMarked
package org.ostendum.app.hydrometer;

import org.jspecify.annotations.NullMarked;
