/** Searches for a better plan: the decisions of {@code core.plan.make} as variables of the solver, what they cost as its constraints. */
@NullMarked
package org.ostendum.planner;

import org.jspecify.annotations.NullMarked;
