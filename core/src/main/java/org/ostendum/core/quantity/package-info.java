@NullMarked
package org.ostendum.core.quantity;

import org.jspecify.annotations.NullMarked;
