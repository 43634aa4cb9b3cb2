/** The watering kit of a battery: drawn, fitted, looked over, taken off. */
@NullMarked
package org.ostendum.app.kit;

import org.jspecify.annotations.NullMarked;
