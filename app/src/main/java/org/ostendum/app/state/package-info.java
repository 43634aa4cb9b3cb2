@NullMarked
package org.ostendum.app.state;

import org.jspecify.annotations.NullMarked;
