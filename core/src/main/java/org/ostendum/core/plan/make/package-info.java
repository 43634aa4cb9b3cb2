/** Makes plans: from what is decided of each shift and charge follows the rest, always within the hard rules. */
@NullMarked
package org.ostendum.core.plan.make;

import org.jspecify.annotations.NullMarked;
