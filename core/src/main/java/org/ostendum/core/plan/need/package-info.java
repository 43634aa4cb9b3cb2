/** What a house would need: the same week with other batteries, chargers, schools and prices, in a usual week and in a bad one. */
@NullMarked
package org.ostendum.core.plan.need;

import org.jspecify.annotations.NullMarked;
