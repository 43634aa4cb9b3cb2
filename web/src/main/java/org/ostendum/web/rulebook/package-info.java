@NullMarked
package org.ostendum.web.rulebook;

import org.jspecify.annotations.NullMarked;
