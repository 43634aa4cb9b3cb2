/** Chargers as their plates and sheets have them, and whether one goes with a battery. */
@NullMarked
package org.ostendum.core.charger;

import org.jspecify.annotations.NullMarked;
