@NullMarked
package org.ostendum.app.room;

import org.jspecify.annotations.NullMarked;
