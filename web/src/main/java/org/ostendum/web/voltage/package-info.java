@NullMarked
package org.ostendum.web.voltage;

import org.jspecify.annotations.NullMarked;
