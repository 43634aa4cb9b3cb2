package org.ostendum.app.exchange;

import java.util.List;
import org.ostendum.app.csv.CsvProblem;

/**
 * What a file would bring, or brought.
 *
 * @param lines rounds or happenings
 * @param readings cells read; 0 in a file of happenings
 * @param batteries that they belong to
 * @param taken whether they are on record now
 * @param faults number of problems; with any, nothing is taken
 * @param problems the first of them
 * @param unknownColumns that were left unread
 */
public record ImportReport(
        int lines,
        int readings,
        int batteries,
        boolean taken,
        int faults,
        List<CsvProblem> problems,
        List<String> unknownColumns) {
    public boolean isSound() {
        return faults == 0 && lines > 0;
    }
}
