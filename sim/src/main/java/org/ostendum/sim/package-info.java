/** A series battery that behaves: chemistry by the step, chargers, people and instruments, deterministic by seed. */
@NullMarked
package org.ostendum.sim;

import org.jspecify.annotations.NullMarked;
