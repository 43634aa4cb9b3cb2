@NullMarked
package org.ostendum.web.safety;

import org.jspecify.annotations.NullMarked;
