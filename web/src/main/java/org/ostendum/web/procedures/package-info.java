@NullMarked
package org.ostendum.web.procedures;

import org.jspecify.annotations.NullMarked;
