package org.ostendum.app.draw;

/**
 * One cell as drawn.
 *
 * @param cell 1.. along the current path
 * @param box its rectangle
 */
public record CellBox(int cell, Box box) {}
