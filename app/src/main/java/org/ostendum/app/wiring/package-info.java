@NullMarked
package org.ostendum.app.wiring;

import org.jspecify.annotations.NullMarked;
