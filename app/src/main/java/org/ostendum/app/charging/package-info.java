/** All charging, cooling and readiness of a site on one screen, from what is on the ledgers. */
@NullMarked
package org.ostendum.app.charging;

import org.jspecify.annotations.NullMarked;
