@NullMarked
package org.ostendum.app.me;

import org.jspecify.annotations.NullMarked;
