/** What a driver complains of, worked up look by look to its cause. */
@NullMarked
package org.ostendum.core.complaint;

import org.jspecify.annotations.NullMarked;
