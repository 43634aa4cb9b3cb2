package org.ostendum.app.fleetfile;

import java.util.List;
import java.util.Map;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.core.people.Person;

/**
 * One file of the fleet. A code that is on record is changed, another is added; a column that is left out leaves what is on
 * record, and an empty cell empties what may be empty.
 */
interface FleetTable {
    FleetFile file();

    /** @return columns in their order; the first names the thing */
    List<String> columns();

    /** @return columns that no file may leave out */
    List<String> required();

    /** @return what is on record now: by its code, the texts of all columns in their order */
    Map<String, List<String>> lines();

    /** Writes each line; what is wrong is told to its row, and the caller then lets nothing of it stand. */
    void take(List<CsvRow> rows, Person by);
}
