@NullMarked
package org.ostendum.core.battery;

import org.jspecify.annotations.NullMarked;
