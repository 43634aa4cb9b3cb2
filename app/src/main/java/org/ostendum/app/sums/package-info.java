@NullMarked
package org.ostendum.app.sums;

import org.jspecify.annotations.NullMarked;
