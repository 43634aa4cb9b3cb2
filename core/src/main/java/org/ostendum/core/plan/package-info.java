/** The plan of a room: what is asked of it, what comes out, how it differs from another, and what it costs. */
@NullMarked
package org.ostendum.core.plan;

import org.jspecify.annotations.NullMarked;
