@NullMarked
package org.ostendum.web.round;

import org.jspecify.annotations.NullMarked;
