/**
 * What every store needs of the database: its times, many rows at once, JSON columns. The tables themselves are generated from the
 * migrations.
 */
@NullMarked
package org.ostendum.app.db;

import org.jspecify.annotations.NullMarked;
