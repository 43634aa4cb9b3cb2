@NullMarked
package org.ostendum.core.life;

import org.jspecify.annotations.NullMarked;
