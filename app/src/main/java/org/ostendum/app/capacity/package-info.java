/** Discharge tests: by a load bank or by hand, from the load going on to the result and the recharge. */
@NullMarked
package org.ostendum.app.capacity;

import org.jspecify.annotations.NullMarked;
