@NullMarked
package org.ostendum.web.store;

import org.jspecify.annotations.NullMarked;
