/** What inspections find wrong. */
@NullMarked
package org.ostendum.core.defect;

import org.jspecify.annotations.NullMarked;
