@NullMarked
package org.ostendum.app.job;

import org.jspecify.annotations.NullMarked;
