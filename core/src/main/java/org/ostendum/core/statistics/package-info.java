@NullMarked
package org.ostendum.core.statistics;

import org.jspecify.annotations.NullMarked;
