@NullMarked
package org.ostendum.core.change;

import org.jspecify.annotations.NullMarked;
