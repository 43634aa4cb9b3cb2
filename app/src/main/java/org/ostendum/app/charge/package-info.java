/** Charges as they are begun, run and ended, with the samples read in them. */
@NullMarked
package org.ostendum.app.charge;

import org.jspecify.annotations.NullMarked;
