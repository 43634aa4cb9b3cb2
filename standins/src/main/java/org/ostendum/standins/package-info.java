/**
 * Devices of a battery room that are not there: chargers, tags, a gas sensor with its fan and a water cart, driven by
 * simulated batteries and heard over Modbus/TCP as real ones would be.
 */
@NullMarked
package org.ostendum.standins;

import org.jspecify.annotations.NullMarked;
