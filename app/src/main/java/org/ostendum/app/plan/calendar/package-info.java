/** The plan in the calendars of those who work by it. */
@NullMarked
package org.ostendum.app.plan.calendar;

import org.jspecify.annotations.NullMarked;
