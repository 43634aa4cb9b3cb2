/** When a battery is to be equalised, and when that is done. */
@NullMarked
package org.ostendum.core.equalise;

import org.jspecify.annotations.NullMarked;
