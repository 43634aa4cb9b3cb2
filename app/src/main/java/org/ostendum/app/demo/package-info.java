@NullMarked
package org.ostendum.app.demo;

import org.jspecify.annotations.NullMarked;
