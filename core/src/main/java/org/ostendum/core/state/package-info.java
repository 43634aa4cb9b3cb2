/** The one state of a battery, folded from its events. Told in {@code docs/state.md}. */
@NullMarked
package org.ostendum.core.state;

import org.jspecify.annotations.NullMarked;
