@NullMarked
package org.ostendum.web.receive;

import org.jspecify.annotations.NullMarked;
