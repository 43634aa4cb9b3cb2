@NullMarked
package org.ostendum.app.words;

import org.jspecify.annotations.NullMarked;
