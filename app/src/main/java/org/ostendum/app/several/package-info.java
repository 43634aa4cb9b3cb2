/** Charges of a whole row of batteries, begun and ended at once. */
@NullMarked
package org.ostendum.app.several;

import org.jspecify.annotations.NullMarked;
