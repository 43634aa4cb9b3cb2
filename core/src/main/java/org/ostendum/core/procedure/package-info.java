@NullMarked
package org.ostendum.core.procedure;

import org.jspecify.annotations.NullMarked;
