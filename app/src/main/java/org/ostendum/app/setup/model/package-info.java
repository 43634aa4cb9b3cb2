/** Types of batteries: what their sheets say. */
@NullMarked
package org.ostendum.app.setup.model;

import org.jspecify.annotations.NullMarked;
