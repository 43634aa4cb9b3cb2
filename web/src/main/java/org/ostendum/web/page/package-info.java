@NullMarked
package org.ostendum.web.page;

import org.jspecify.annotations.NullMarked;
