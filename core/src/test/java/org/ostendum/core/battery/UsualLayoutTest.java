package org.ostendum.core.battery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.OutOfRange;

class UsualLayoutTest {
    @ParameterizedTest
    @CsvSource({
        "6, 2, 1, 1 2 3/6 5 4",
        "6, 2, 3, 1> 2> 3>/6< 5< 4<",
        "5, 2, 1, 1 2 3/. 5 4",
        "4, 1, 6, 1> 2> 3> 4>",
        "9, 3, 1, 1 2 3/6 5 4/7 8 9"
    })
    void thePathSnakesFromTheBackLeft(int cases, int rows, int cells, String text) {
        assertThat(UsualLayout.text(cases, rows, cells)).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "6, 2", "12, 3", "18, 3", "24, 4", "36, 6", "40, 5", "13, 2", "144, 12"})
    void aTrayIsAsNearToASquareAsItsRowsAllow(int cases, int rows) {
        assertThat(UsualLayout.rows(cases)).isEqualTo(rows);
    }

    @Test
    void whatIsDrawnCanBeReadAndHasNoGaps() {
        for (int cases = 1; cases <= 144; cases++) {
            CellLayout layout = LayoutText.parse(UsualLayout.text(cases, UsualLayout.rows(cases), 1), 1);
            assertThat(layout.cells()).isEqualTo(cases);
            assertThat(layout.gaps()).as(cases + " cells").isEmpty();
        }
    }

    @Test
    void moreThanGoIntoTheRowsIsRefused() {
        assertThatThrownBy(() -> UsualLayout.text(25, 2, 1)).isInstanceOf(OutOfRange.class);
    }
}
