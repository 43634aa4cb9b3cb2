@NullMarked
package org.ostendum.web.find;

import org.jspecify.annotations.NullMarked;
