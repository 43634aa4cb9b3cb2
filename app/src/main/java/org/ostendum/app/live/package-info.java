/** Tells open pages that something is new. */
@NullMarked
package org.ostendum.app.live;

import org.jspecify.annotations.NullMarked;
