package org.ostendum.app.past;

import java.util.List;
import org.ostendum.app.inventory.Battery;

/**
 * What the page of a battery's cells shows.
 *
 * @param last the highest place that a cell or block can have
 * @param inIt cells that are in it
 * @param gone those that were taken out
 */
record CellsView(Battery battery, int last, List<CellsController.CellLine> inIt, List<CellsController.CellLine> gone) {}
