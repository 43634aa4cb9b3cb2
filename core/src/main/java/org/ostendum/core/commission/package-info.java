@NullMarked
package org.ostendum.core.commission;

import org.jspecify.annotations.NullMarked;
