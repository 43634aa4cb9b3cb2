/** How a job begins: what is asked before, on which charger, one battery or a row of them at once. */
@NullMarked
package org.ostendum.app.job.begin;

import org.jspecify.annotations.NullMarked;
