@NullMarked
package org.ostendum.app.setup;

import org.jspecify.annotations.NullMarked;
