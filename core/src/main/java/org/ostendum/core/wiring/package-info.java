@NullMarked
package org.ostendum.core.wiring;

import org.jspecify.annotations.NullMarked;
