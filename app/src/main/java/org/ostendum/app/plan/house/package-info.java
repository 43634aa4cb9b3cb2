/** The house as a room to be planned: machines, batteries, chargers, people and hours as they are, and what has gone wrong. */
@NullMarked
package org.ostendum.app.plan.house;

import org.jspecify.annotations.NullMarked;
