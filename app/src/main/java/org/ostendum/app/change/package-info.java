/** Changing the battery of a machine: which one goes in, and why. */
@NullMarked
package org.ostendum.app.change;

import org.jspecify.annotations.NullMarked;
