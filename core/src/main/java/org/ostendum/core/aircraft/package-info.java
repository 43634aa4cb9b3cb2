/** Batteries of aircraft: when one is serviceable, and what the regulator must give. Source: FAA AC 43.13-1B. */
@NullMarked
package org.ostendum.core.aircraft;

import org.jspecify.annotations.NullMarked;
