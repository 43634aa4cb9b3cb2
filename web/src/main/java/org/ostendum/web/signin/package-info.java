@NullMarked
package org.ostendum.web.signin;

import org.jspecify.annotations.NullMarked;
