@NullMarked
package org.ostendum.web.setup;

import org.jspecify.annotations.NullMarked;
