/** The site's rulebook and how it was changed. */
@NullMarked
package org.ostendum.app.rules;

import org.jspecify.annotations.NullMarked;
