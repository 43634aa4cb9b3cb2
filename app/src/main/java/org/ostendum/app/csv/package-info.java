/** Files of lines: read by their header, with every fault told by its line and column. */
@NullMarked
package org.ostendum.app.csv;

import org.jspecify.annotations.NullMarked;
