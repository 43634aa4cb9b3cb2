@NullMarked
package org.ostendum.web.fleet;

import org.jspecify.annotations.NullMarked;
