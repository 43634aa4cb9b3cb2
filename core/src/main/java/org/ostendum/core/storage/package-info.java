@NullMarked
package org.ostendum.core.storage;

import org.jspecify.annotations.NullMarked;
