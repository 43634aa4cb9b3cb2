@NullMarked
package org.ostendum.app.round;

import org.jspecify.annotations.NullMarked;
