package org.ostendum.core.measure;

import org.jspecify.annotations.Nullable;

/**
 * One value as it was entered; a later entry for the same cell and field takes its place without removing it.
 *
 * @param cell 1.., or 0 for the whole round
 * @param value in the form the field says; null takes the earlier value back
 */
public record SheetEntry(int cell, SheetField field, @Nullable String value) {}
