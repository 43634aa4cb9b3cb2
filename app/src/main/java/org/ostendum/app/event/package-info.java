/** Events in the words of the contract with programs and files: one reading of them for both. */
@NullMarked
package org.ostendum.app.event;

import org.jspecify.annotations.NullMarked;
