@NullMarked
package org.ostendum.core.receive;

import org.jspecify.annotations.NullMarked;
