/** What is left of each battery, what it has cost and will cost, and its whole life as one document. */
@NullMarked
package org.ostendum.app.life;

import org.jspecify.annotations.NullMarked;
