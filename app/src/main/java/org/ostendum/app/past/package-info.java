/** What cells, machines and places have been through. */
@NullMarked
package org.ostendum.app.past;

import org.jspecify.annotations.NullMarked;
