@NullMarked
package org.ostendum.core.rulebook;

import org.jspecify.annotations.NullMarked;
