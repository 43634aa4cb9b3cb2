/** The plan of a room: what is asked of it, what comes out, what must hold of it, and what it costs. */
@NullMarked
package org.ostendum.core.plan;

import org.jspecify.annotations.NullMarked;
