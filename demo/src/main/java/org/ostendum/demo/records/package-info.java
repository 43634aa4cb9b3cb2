/** A year of a battery's records, written as a story and not computed from its chemistry. */
@NullMarked
package org.ostendum.demo.records;

import org.jspecify.annotations.NullMarked;
