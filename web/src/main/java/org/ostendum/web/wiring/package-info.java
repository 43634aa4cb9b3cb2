@NullMarked
package org.ostendum.web.wiring;

import org.jspecify.annotations.NullMarked;
