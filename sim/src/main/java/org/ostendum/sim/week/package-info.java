/** Weeks lived through minute by minute, with batteries, late trucks and broken chargers, by whoever leads the room. */
@NullMarked
package org.ostendum.sim.week;

import org.jspecify.annotations.NullMarked;
