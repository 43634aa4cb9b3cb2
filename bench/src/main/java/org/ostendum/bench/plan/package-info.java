/** How good plans are and how soon they are there: {@code ./ostendum bench plan}. */
@NullMarked
package org.ostendum.bench.plan;

import org.jspecify.annotations.NullMarked;
