/** What counts how much when plans are compared. */
@NullMarked
package org.ostendum.app.plan.weights;

import org.jspecify.annotations.NullMarked;
