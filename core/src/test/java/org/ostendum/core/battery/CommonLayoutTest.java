package org.ostendum.core.battery;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CommonLayoutTest {
    @ParameterizedTest
    @CsvSource({
        "TRAY_36_VOLTS, 36, 18",
        "TRAY_80_VOLTS, 80, 40",
        "SIX_BLOCKS_OF_6_VOLTS, 36, 6",
        "SIX_BLOCKS_OF_8_VOLTS, 48, 6",
        "EIGHT_BLOCKS_OF_6_VOLTS, 48, 8",
        "FOUR_BLOCKS_OF_12_VOLTS, 48, 4",
        "AIRCRAFT_24_VOLTS, 24, 12"
    })
    void hasItsVoltsAndCases(CommonLayout common, int volts, int cases) {
        assertThat(common.volts()).isEqualTo(volts);
        assertThat(common.layout().cases()).hasSize(cases);
    }

    /** What is picked is written into the form and read again as the same. */
    @ParameterizedTest
    @EnumSource(CommonLayout.class)
    void isWrittenAndReadAgain(CommonLayout common) {
        CellLayout layout = common.layout();
        assertThat(LayoutText.parse(layout.text(), common.cellsPerCase())).isEqualTo(layout);
        assertThat(layout.isPack()).isEqualTo(common.cellsPerCase() > 1);
    }
}
