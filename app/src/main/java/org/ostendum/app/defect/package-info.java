/** Defects found on batteries, and when they were put right. */
@NullMarked
package org.ostendum.app.defect;

import org.jspecify.annotations.NullMarked;
