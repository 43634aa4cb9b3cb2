/**
 * The battery's ledger: lines that are only ever added, each with the hash of the one before it.
 */
@NullMarked
package org.ostendum.app.ledger;

import org.jspecify.annotations.NullMarked;
