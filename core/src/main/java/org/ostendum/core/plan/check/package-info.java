/** Every hard rule of a plan, held against it by nobody who has made it: what is shown or kept has passed. */
@NullMarked
package org.ostendum.core.plan.check;

import org.jspecify.annotations.NullMarked;
