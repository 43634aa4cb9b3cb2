/**
 * Devices of the house: heard every few seconds over one small port, what they say kept, alarms raised from it, and the
 * screens told that something is new. Without any device all of it lies still.
 */
@NullMarked
package org.ostendum.web.devices;

import org.jspecify.annotations.NullMarked;
