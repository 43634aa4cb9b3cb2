/** A day on one sheet, to hand a shift over by. */
@NullMarked
package org.ostendum.app.day;

import org.jspecify.annotations.NullMarked;
