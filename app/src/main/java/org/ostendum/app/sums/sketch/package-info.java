/** The pictures of the calculators: each moves with the values of its sum. */
@NullMarked
package org.ostendum.app.sums.sketch;

import org.jspecify.annotations.NullMarked;
