@NullMarked
package org.ostendum.web.security;

import org.jspecify.annotations.NullMarked;
