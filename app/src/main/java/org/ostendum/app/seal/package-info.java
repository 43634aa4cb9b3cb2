/** Signed heads of every battery's chain, kept outside the database, so that a past that was cut short or written anew shows. */
@NullMarked
package org.ostendum.app.seal;

import org.jspecify.annotations.NullMarked;
