@NullMarked
package org.ostendum.app.draw;

import org.jspecify.annotations.NullMarked;
