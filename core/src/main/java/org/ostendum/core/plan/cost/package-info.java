/** What a plan costs: money, the peak, and what a technician would not do. */
@NullMarked
package org.ostendum.core.plan.cost;

import org.jspecify.annotations.NullMarked;
