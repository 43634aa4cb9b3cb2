@NullMarked
package org.ostendum.web.ledger;

import org.jspecify.annotations.NullMarked;
