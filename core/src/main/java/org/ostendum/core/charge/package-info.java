@NullMarked
package org.ostendum.core.charge;

import org.jspecify.annotations.NullMarked;
