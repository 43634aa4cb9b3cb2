/** Alarms: raised, acknowledged, cleared. */
@NullMarked
package org.ostendum.app.alarm;

import org.jspecify.annotations.NullMarked;
