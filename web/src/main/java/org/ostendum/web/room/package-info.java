@NullMarked
package org.ostendum.web.room;

import org.jspecify.annotations.NullMarked;
