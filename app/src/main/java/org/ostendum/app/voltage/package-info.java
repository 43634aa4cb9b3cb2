@NullMarked
package org.ostendum.app.voltage;

import org.jspecify.annotations.NullMarked;
