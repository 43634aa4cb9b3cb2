package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.CellBox;
import org.ostendum.app.words.Words;

/**
 * What stands in one cell of the drawing.
 *
 * @param figure gravity or what stands in its place; null when unread
 * @param tone name of the severity held against the cell, {@code NONE} for nothing
 * @param remark level or colour, null when there is nothing to remark
 */
public record CellFigure(CellBox box, @Nullable String figure, String tone, @Nullable String remark) {
    private static final int LONGEST_GRAVITY = 5;

    /** Style classes of the cell: its tone once read, and whether words stand where a gravity would. */
    public String classes(boolean read) {
        boolean worded = figure != null && figure.length() > LONGEST_GRAVITY;
        return "cell cell-" + (read ? tone : "UNREAD") + (worded ? " worded" : "");
    }

    /** What a screen reader says of it. */
    public String aloud(Words words) {
        return words.text("line.correction.cell", box.cell())
                + ": "
                + (figure == null ? "–" : figure)
                + (remark == null ? "" : ", " + remark);
    }
}
