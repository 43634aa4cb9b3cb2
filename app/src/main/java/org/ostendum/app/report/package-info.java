/** What people report of batteries by hand: defects, with their pictures. */
@NullMarked
package org.ostendum.app.report;

import org.jspecify.annotations.NullMarked;
