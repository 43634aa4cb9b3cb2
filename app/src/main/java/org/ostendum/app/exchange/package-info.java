/** Rounds and happenings in and out as CSV; the columns are a contract, told in {@code docs/exchange.md}. */
@NullMarked
package org.ostendum.app.exchange;

import org.jspecify.annotations.NullMarked;
