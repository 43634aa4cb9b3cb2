/**
 * Polls the equipment: which devices there are, what each said last, and what follows for the charge that runs. Without any device all
 * of it lies still.
 */
@NullMarked
package org.ostendum.app.device;

import org.jspecify.annotations.NullMarked;
