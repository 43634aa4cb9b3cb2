@NullMarked
package org.ostendum.core.sim;

import org.jspecify.annotations.NullMarked;
