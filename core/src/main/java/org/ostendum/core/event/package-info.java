/** What happens to a battery: one family of typed events, from which everything that is said of it follows. */
@NullMarked
package org.ostendum.core.event;

import org.jspecify.annotations.NullMarked;
