/** Complaints of drivers and their work-up. */
@NullMarked
package org.ostendum.app.complaint;

import org.jspecify.annotations.NullMarked;
