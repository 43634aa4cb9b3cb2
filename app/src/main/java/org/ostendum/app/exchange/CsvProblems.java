package org.ostendum.app.exchange;

import java.util.ArrayList;
import java.util.List;

/** Problems of a file: the first of them by line, all of them by number. */
final class CsvProblems {
    /** More are not read by anybody. */
    private static final int SHOWN = 200;

    private final List<CsvProblem> first = new ArrayList<>();
    private int count;

    void add(CsvProblem problem) {
        count++;
        if (first.size() < SHOWN) {
            first.add(problem);
        }
    }

    List<CsvProblem> first() {
        return List.copyOf(first);
    }

    int count() {
        return count;
    }
}
