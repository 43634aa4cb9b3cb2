/** What is put away: where, how it fares there, who looks after it, and the latest day for its next charge. */
@NullMarked
package org.ostendum.app.storage;

import org.jspecify.annotations.NullMarked;
