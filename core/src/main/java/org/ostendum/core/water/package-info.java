@NullMarked
package org.ostendum.core.water;

import org.jspecify.annotations.NullMarked;
