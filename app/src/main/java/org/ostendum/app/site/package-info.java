/** The site as a whole: what it is called, in what it counts, and how far it is set up. */
@NullMarked
package org.ostendum.app.site;

import org.jspecify.annotations.NullMarked;
