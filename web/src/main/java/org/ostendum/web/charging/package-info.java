/** All charging, cooling and readiness of a house on one screen, from what is on the ledgers. */
@NullMarked
package org.ostendum.web.charging;

import org.jspecify.annotations.NullMarked;
