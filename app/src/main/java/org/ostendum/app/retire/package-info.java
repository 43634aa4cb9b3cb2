/** A battery leaves the site for good: why, to whom, with which receipt; its past stays. */
@NullMarked
package org.ostendum.app.retire;

import org.jspecify.annotations.NullMarked;
