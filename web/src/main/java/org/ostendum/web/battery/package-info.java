@NullMarked
package org.ostendum.web.battery;

import org.jspecify.annotations.NullMarked;
