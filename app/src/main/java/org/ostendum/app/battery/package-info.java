@NullMarked
package org.ostendum.app.battery;

import org.jspecify.annotations.NullMarked;
