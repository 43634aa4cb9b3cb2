@NullMarked
package org.ostendum.core.safety;

import org.jspecify.annotations.NullMarked;
