/** What a plan is made for: machines, batteries, chargers and people of a room, as they are and with what they need. */
@NullMarked
package org.ostendum.core.plan.room;

import org.jspecify.annotations.NullMarked;
