/** Batteries too flat for their own charger, lifted until it begins. */
@NullMarked
package org.ostendum.core.recover;

import org.jspecify.annotations.NullMarked;
