/** The aircraft bench: serviceable or not, hours flown, regulator, conversion papers, and the licensed signature. */
@NullMarked
package org.ostendum.app.aircraft;

import org.jspecify.annotations.NullMarked;
