@NullMarked
package org.ostendum.app.safety;

import org.jspecify.annotations.NullMarked;
