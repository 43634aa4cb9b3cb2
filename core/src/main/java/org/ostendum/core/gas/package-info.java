@NullMarked
package org.ostendum.core.gas;

import org.jspecify.annotations.NullMarked;
