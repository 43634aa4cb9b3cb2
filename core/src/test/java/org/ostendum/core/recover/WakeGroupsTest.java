package org.ostendum.core.recover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.recover.WakeGroups.Group;

class WakeGroupsTest {
    /** @param cells in each block */
    private static CellLayout pack(int blocks, int cells) {
        return LayoutText.parse(UsualLayout.text(blocks, 1, cells), cells);
    }

    /** Six blocks of 8 V: one alone on 12 V would be overcharged, two together are 16 V. */
    @Test
    void sixBlocksOfEightVoltsAreWokenTwoByTwo() {
        WakeGroups groups = WakeGroups.of(pack(6, 4), 12);
        assertThat(groups.groups()).containsExactly(new Group(1, 2, 2), new Group(3, 4, 2), new Group(5, 6, 2));
        assertThat(groups.takes()).isEqualTo(Duration.ofMinutes(90));
        assertThat(groups.packVolts(List.of(14.0, 13.5, 13.5))).isCloseTo(41, within(1e-9));
    }

    /** What is left over is too low alone: the last group reaches back, and its volts count once. */
    @Test
    void theLastGroupReachesBack() {
        WakeGroups groups = WakeGroups.of(pack(5, 4), 12);
        assertThat(groups.groups().get(2)).isEqualTo(new Group(4, 5, 1));
        assertThat(groups.groups().get(2).reachesBack()).isTrue();
        assertThat(groups.packVolts(List.of(14.0, 14.0, 14.0))).isCloseTo(35, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"6, 3, 12", "6, 4, 12", "8, 3, 12", "4, 6, 12", "6, 4, 24", "5, 3, 24", "3, 4, 6", "12, 3, 36"})
    void everyBlockIsWokenAndNoGroupLiesBelowTheCharger(int blocks, int cells, int charger) {
        WakeGroups groups = WakeGroups.of(pack(blocks, cells), charger);
        assertThat(groups.groups()).allMatch(group -> groups.volts(group) >= charger);
        assertThat(IntStream.rangeClosed(1, blocks)).allMatch(block -> groups.groups().stream()
                .anyMatch(group -> block >= group.first() && block <= group.last()));
        assertThat(groups.groups().stream().mapToInt(Group::fresh).sum()).isEqualTo(blocks);
    }

    @Test
    void aChargerAboveTheWholePackWakesNothing() {
        assertThat(WakeGroups.of(pack(2, 3), 24).groups()).isEmpty();
        assertThatThrownBy(() -> WakeGroups.of(pack(2, 3), 500)).hasMessageContaining("500");
        assertThatThrownBy(() -> WakeGroups.of(pack(6, 4), 12).packVolts(List.of(1.0)))
                .hasMessageContaining("3");
    }
}
