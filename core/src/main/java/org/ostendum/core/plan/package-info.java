/** The plan of a room: what is asked of it, what comes out, and how it differs from another. */
@NullMarked
package org.ostendum.core.plan;

import org.jspecify.annotations.NullMarked;
