/** Rooms to be planned, made up by a seed. */
@NullMarked
package org.ostendum.sim.room;

import org.jspecify.annotations.NullMarked;
