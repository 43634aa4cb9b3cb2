/** What waits for the one who has signed in: his jobs and rounds, the batteries he waters, and what the site needs next. */
@NullMarked
package org.ostendum.app.mine;

import org.jspecify.annotations.NullMarked;
