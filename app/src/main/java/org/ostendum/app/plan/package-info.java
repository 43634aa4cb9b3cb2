/** The plan of the house: needed hours, plans as they are searched and taken, what goes wrong, who does what next. */
@NullMarked
package org.ostendum.app.plan;

import org.jspecify.annotations.NullMarked;
