@NullMarked
package org.ostendum.web.state;

import org.jspecify.annotations.NullMarked;
