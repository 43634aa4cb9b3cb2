@NullMarked
package org.ostendum.web.demo;

import org.jspecify.annotations.NullMarked;
