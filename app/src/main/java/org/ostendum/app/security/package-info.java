@NullMarked
package org.ostendum.app.security;

import org.jspecify.annotations.NullMarked;
