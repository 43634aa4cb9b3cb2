/** Incidents of every kind: reported by whoever saw them, told to who wants to know, closed by a lead. */
@NullMarked
package org.ostendum.app.incident;

import org.jspecify.annotations.NullMarked;
