/** The lives of Lanternmoor's batteries: lived by the simulation, and how each ends. */
@NullMarked
package org.ostendum.demo.lives;

import org.jspecify.annotations.NullMarked;
