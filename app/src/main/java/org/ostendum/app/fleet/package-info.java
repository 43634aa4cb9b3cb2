@NullMarked
package org.ostendum.app.fleet;

import org.jspecify.annotations.NullMarked;
