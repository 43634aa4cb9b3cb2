/** Work at one cell of a tray: a cell renewed, or bridged for a time. */
@NullMarked
package org.ostendum.app.repair;

import org.jspecify.annotations.NullMarked;
