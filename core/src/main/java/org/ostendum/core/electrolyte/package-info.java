@NullMarked
package org.ostendum.core.electrolyte;

import org.jspecify.annotations.NullMarked;
