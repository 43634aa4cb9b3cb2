@NullMarked
package org.ostendum.web.me;

import org.jspecify.annotations.NullMarked;
