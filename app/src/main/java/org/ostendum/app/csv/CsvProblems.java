package org.ostendum.app.csv;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.app.form.TypedForm;

/** Problems of a file: the first of them by line, all of them by number. */
public final class CsvProblems {
    /** More are not read by anybody. */
    private static final int SHOWN = 200;

    private final List<CsvProblem> first = new ArrayList<>();
    private int count;

    public void add(CsvProblem problem) {
        count++;
        if (first.size() < SHOWN) {
            first.add(problem);
        }
    }

    public List<CsvProblem> first() {
        return List.copyOf(first);
    }

    /** Tells them beside a field of a form into which the lines were pasted. */
    public void tell(TypedForm form, String field) {
        for (CsvProblem problem : first) {
            form.fault(field, "fault.csv", problem.line(), problem.column(), problem.value(), problem.expected());
        }
    }

    public int count() {
        return count;
    }
}
