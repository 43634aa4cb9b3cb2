/** The people of the site: who they are, what they may do, what they were trained in. */
@NullMarked
package org.ostendum.app.people;

import org.jspecify.annotations.NullMarked;
