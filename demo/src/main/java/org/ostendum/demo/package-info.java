/**
 * Lanternmoor, a made-up film studio: its rooms, batteries and people, and a year of their work, written by the application's own
 * services with the clock set back.
 */
@NullMarked
package org.ostendum.demo;

import org.jspecify.annotations.NullMarked;
