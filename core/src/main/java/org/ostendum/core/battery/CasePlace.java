package org.ostendum.core.battery;

/**
 * One single cell or block in its place.
 *
 * @param number 1.. along the current path from the positive post
 * @param row 0 is the back row
 * @param column 0 is at the left hand
 * @param facing from the case's positive post to its negative one
 */
public record CasePlace(int number, int row, int column, Facing facing) {

    boolean touches(CasePlace other) {
        return Math.abs(row - other.row) + Math.abs(column - other.column) == 1;
    }
}
