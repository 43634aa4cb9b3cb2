/** A search for a plan as a row of the database: asked for, taken up by one of several instances, kept, in force. */
@NullMarked
package org.ostendum.app.plan.run;

import org.jspecify.annotations.NullMarked;
