/** Pictures of jobs, defects and rounds: taken apart, painted anew, kept with what they show. */
@NullMarked
package org.ostendum.app.photo;

import org.jspecify.annotations.NullMarked;
