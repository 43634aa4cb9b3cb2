package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.quantity.CorrectedGravity;

class GravitiesTest {
    private static final Gravities THREE = new Gravities(Map.of(
            1,
            CorrectedGravity.ofPoints(1280),
            2,
            CorrectedGravity.ofPoints(1270),
            4,
            CorrectedGravity.ofPoints(1260)));

    @Test
    void cellsStandAgainstTheMiddleOfThem() {
        assertThat(THREE.median()).isEqualTo(CorrectedGravity.ofPoints(1270));
        assertThat(THREE.aboveMedian(4).tenths()).isEqualTo(-100);
        assertThat(THREE.lowestCell()).isEqualTo(4);
        assertThat(THREE.spread().tenths()).isEqualTo(200);
        assertThat(THREE.without(Set.of(4)).count()).isEqualTo(2);
    }

    @Test
    void aCellThatWasNotReadHasNoPlace() {
        for (int cell : new int[] {-1, 0, 3, 5}) {
            assertThat(THREE.has(cell)).as("cell " + cell).isFalse();
            assertThatThrownBy(() -> THREE.of(cell)).hasMessageContaining("Cell " + cell);
            assertThatThrownBy(() -> THREE.aboveMedian(cell)).hasMessageContaining("Cell " + cell);
        }
    }

    @Test
    void ofNoReadingThereIsNoMiddle() {
        assertThatThrownBy(() -> new Gravities(Map.of()).median()).isInstanceOf(IllegalStateException.class);
    }
}
