/** What must not be missed while batteries charge: each alarm with its figures, from what devices say. */
@NullMarked
package org.ostendum.core.alarm;

import org.jspecify.annotations.NullMarked;
