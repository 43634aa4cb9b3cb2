package org.ostendum.core.alarm;

import java.util.Optional;
import org.ostendum.core.capacity.TestCourse;

/** A cell is about to reverse in a discharge test: the load has to come off. Practice {@code test.capacity}. */
public final class TestAlarm {
    private TestAlarm() {}

    /**
     * @param battery its code
     * @return empty where no lead was ever read
     */
    public static Optional<Alarm> of(String battery, TestCourse course) {
        return course.worstLead().map(lead -> Alarm.of(AlarmKind.CELL_REVERSES, battery, battery, lead));
    }
}
