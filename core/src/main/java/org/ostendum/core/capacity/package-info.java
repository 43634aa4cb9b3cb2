@NullMarked
package org.ostendum.core.capacity;

import org.jspecify.annotations.NullMarked;
