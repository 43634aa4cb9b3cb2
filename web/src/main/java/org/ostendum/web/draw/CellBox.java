package org.ostendum.web.draw;

/**
 * One cell as drawn.
 *
 * @param cell 1.. along the current path
 * @param box its rectangle
 * @param figureY base line of the figure in it
 * @param figureSize type size of the figure
 */
public record CellBox(int cell, Box box, double figureY, double figureSize) {}
