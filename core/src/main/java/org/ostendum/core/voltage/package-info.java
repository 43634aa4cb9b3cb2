@NullMarked
package org.ostendum.core.voltage;

import org.jspecify.annotations.NullMarked;
