@NullMarked
package org.ostendum.app.procedure;

import org.jspecify.annotations.NullMarked;
