@NullMarked
package org.ostendum.core.measure;

import org.jspecify.annotations.NullMarked;
