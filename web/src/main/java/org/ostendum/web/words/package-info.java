@NullMarked
package org.ostendum.web.words;

import org.jspecify.annotations.NullMarked;
