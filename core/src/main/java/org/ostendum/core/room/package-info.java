/** Rooms and what stands in them. */
@NullMarked
package org.ostendum.core.room;

import org.jspecify.annotations.NullMarked;
