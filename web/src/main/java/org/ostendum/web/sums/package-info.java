@NullMarked
package org.ostendum.web.sums;

import org.jspecify.annotations.NullMarked;
