/** What programs outside can ask: a contract, told at {@code /api/v1/openapi}. */
@NullMarked
package org.ostendum.app.api;

import org.jspecify.annotations.NullMarked;
