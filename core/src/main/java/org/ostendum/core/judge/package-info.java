@NullMarked
package org.ostendum.core.judge;

import org.jspecify.annotations.NullMarked;
