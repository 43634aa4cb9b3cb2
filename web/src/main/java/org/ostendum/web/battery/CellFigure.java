package org.ostendum.web.battery;

import org.jspecify.annotations.Nullable;
import org.ostendum.web.draw.CellBox;

/**
 * What stands in one cell of the drawing.
 *
 * @param figure gravity or what stands in its place; null when unread
 * @param tone name of the severity held against the cell, {@code NONE} for nothing
 * @param remark level or colour, null when there is nothing to remark
 */
public record CellFigure(CellBox box, @Nullable String figure, String tone, @Nullable String remark) {}
