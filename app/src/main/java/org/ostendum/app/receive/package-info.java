@NullMarked
package org.ostendum.app.receive;

import org.jspecify.annotations.NullMarked;
