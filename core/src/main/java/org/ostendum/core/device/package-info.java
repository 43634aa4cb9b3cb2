/**
 * What the devices of a battery room tell, as blocks of 16-bit registers: docs/devices.md holds the same map in words. What
 * cannot be is not decoded: a line that rustles must never look like a battery that is full.
 */
@NullMarked
package org.ostendum.core.device;

import org.jspecify.annotations.NullMarked;
