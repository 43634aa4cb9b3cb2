package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.Stage;

class SnapshotTest {
    /** Events go on from it in the order of time; one of the same moment still does. */
    @Test
    void aSnapshotIsGoneOnFromByWhatIsNotOlder() {
        Snapshot snapshot = new Snapshot(Facts.NOTHING, Findings.NONE, null, BatteryCourse.NONE, Told.NOW);
        assertThat(Snapshot.NOTHING.isBefore(Told.NOW)).isTrue();
        assertThat(snapshot.isBefore(Told.NOW)).isTrue();
        assertThat(snapshot.isBefore(Told.NOW.minusMillis(1))).isFalse();
    }

    @Test
    void aBatteryWithElectrolyteThatIsHereCanBeWorkedOn() {
        assertThat(Arrays.stream(Stage.values()).filter(Stage::isUsable))
                .containsExactlyInAnyOrder(Stage.IN_SERVICE, Stage.STORED, Stage.HELD);
    }
}
