/** What cells and places have been through: followed from event to event, past every move. */
@NullMarked
package org.ostendum.core.history;

import org.jspecify.annotations.NullMarked;
