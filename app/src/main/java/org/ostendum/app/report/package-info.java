/** What people report by hand: defects with their pictures, and the incident that a spill was. */
@NullMarked
package org.ostendum.app.report;

import org.jspecify.annotations.NullMarked;
