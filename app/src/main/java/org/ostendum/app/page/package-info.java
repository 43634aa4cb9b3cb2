@NullMarked
package org.ostendum.app.page;

import org.jspecify.annotations.NullMarked;
