/** When machines are needed, people are there or left alone, and the house is open. */
@NullMarked
package org.ostendum.app.plan.hours;

import org.jspecify.annotations.NullMarked;
