/** Complaints with a hidden cause, whose looks show what that cause makes likely. */
@NullMarked
package org.ostendum.sim.complaint;

import org.jspecify.annotations.NullMarked;
