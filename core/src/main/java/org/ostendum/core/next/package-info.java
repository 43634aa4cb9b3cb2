@NullMarked
package org.ostendum.core.next;

import org.jspecify.annotations.NullMarked;
