/** Whether the application can do its work, told to who watches it. */
@NullMarked
package org.ostendum.app.health;

import org.jspecify.annotations.NullMarked;
