/** Those who sign in, and what each may do. */
@NullMarked
package org.ostendum.core.people;

import org.jspecify.annotations.NullMarked;
