package org.ostendum.app.fleetfile;

import java.util.List;
import org.ostendum.app.csv.CsvProblem;

/**
 * What files of a fleet would bring, or brought.
 *
 * @param taken whether it is on record now
 */
record FleetReport(boolean taken, List<FileReport> files) {
    public boolean isSound() {
        return faults() == 0 && files.stream().anyMatch(f -> f.lines() > 0);
    }

    public int faults() {
        return files.stream().mapToInt(FileReport::faults).sum();
    }

    public int added() {
        return files.stream().mapToInt(FileReport::added).sum();
    }

    public int changed() {
        return files.stream().mapToInt(FileReport::changed).sum();
    }

    /**
     * One file.
     *
     * @param same lines that say what is on record
     * @param faults number of problems; with any, nothing of any file is taken
     * @param problems the first of them
     * @param unknownColumns that were left unread
     * @param awaited what it names and a later file has to bring
     * @param changes of each line that adds or changes something
     */
    record FileReport(
            String file,
            int lines,
            int added,
            int changed,
            int same,
            int faults,
            List<CsvProblem> problems,
            List<String> unknownColumns,
            List<String> awaited,
            List<Change> changes) {}

    /**
     * What one line does.
     *
     * @param added whether its code is new
     * @param values those that are set, each with its column: what it was, where it was anything, and what it is
     */
    record Change(String code, boolean added, List<Value> values) {}

    record Value(String column, String was, String is) {}
}
