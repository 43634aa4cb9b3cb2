@NullMarked
package org.ostendum.web.job;

import org.jspecify.annotations.NullMarked;
