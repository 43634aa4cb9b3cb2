@NullMarked
package org.ostendum.web.draw;

import org.jspecify.annotations.NullMarked;
