package org.ostendum.app.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.capacity.TestSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tests that were begun, or made, before they were written down here: from a sheet of paper. */
@Service
public class TestsOnPaper {
    private final CapacityTests tests;
    private final Testing testing;

    TestsOnPaper(CapacityTests tests, Testing testing) {
        this.tests = tests;
        this.testing = testing;
    }

    /** One that runs. */
    @Transactional
    public void running(Battery battery, TestSheet sheet, List<TestRow> rows, Instant since, long by) {
        tests.begin(battery.id(), sheet, false, "", by, since)
                .ifPresent(id -> rows.forEach(row -> tests.read(id, row)));
    }

    /** One that ended at its cut-off, of which only its time is on paper. */
    @Transactional
    public void made(Battery battery, TestSheet sheet, Duration lasted, Instant since, long by) {
        Long id = tests.begin(battery.id(), sheet, false, "", by, since).orElseThrow();
        double amperes = sheet.amperes().amperes();
        tests.read(id, new TestRow(lasted, sheet.cutOff(), amperes, List.of()));
        CapacityTest test = tests.byId(id).orElseThrow();
        testing.close(test, EndKind.CUT_OFF, "", by, since.plus(lasted));
    }
}
