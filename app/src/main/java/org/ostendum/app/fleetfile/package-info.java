/** The fleet in files: rooms, places, models, chargers, machines, batteries and people, taken in whole or not at all, and given back. */
@NullMarked
package org.ostendum.app.fleetfile;

import org.jspecify.annotations.NullMarked;
