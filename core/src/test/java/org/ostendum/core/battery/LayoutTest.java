package org.ostendum.core.battery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LayoutTest {
    @ParameterizedTest
    @CsvSource({
        "ROWS_FROM_LEFT, 2, 3, 1 2 3/6 5 4",
        "ROWS_FROM_RIGHT, 2, 3, 3 2 1/4 5 6",
        "COLUMNS_FROM_LEFT, 2, 3, 1 4 5/2 3 6",
        "COLUMNS_FROM_RIGHT, 2, 3, 5 4 1/6 3 2",
        "ROWS_FROM_LEFT, 3, 4, 1 2 3 4/8 7 6 5/9 10 11 12"
    })
    void thePathSnakesThroughTheTray(TrayPattern pattern, int rows, int columns, String text) {
        CellLayout layout = pattern.layout(rows, columns);
        assertThat(layout.text()).isEqualTo(text);
        assertThat(layout.gaps()).isEmpty();
        assertThat(layout.cells()).isEqualTo(rows * columns);
    }

    @ParameterizedTest
    @CsvSource({"1 2 3/6 5 4, 1", "1> 2> 3>/6< 5< 4<, 3", "1> 2>/4< 3<, 6", ". 1 2/4 3 ., 1", "1v 4^/2v 3^, 4"})
    void theWrittenFormReadsBackToItself(String text, int cellsPerCase) {
        assertThat(LayoutText.parse(text, cellsPerCase).text()).isEqualTo(text);
    }

    @Test
    void aPackCountsTheCellsOfItsBlocks() {
        CellLayout pack = LayoutText.parse("1> 2> 3>/6< 5< 4<", 4);
        assertThat(pack.cells()).isEqualTo(24);
        assertThat(pack.isPack()).isTrue();
        assertThat(pack.caseOf(4).number()).isEqualTo(1);
        assertThat(pack.caseOf(5).number()).isEqualTo(2);
        assertThat(pack.caseOf(24).number()).isEqualTo(6);
        assertThatThrownBy(() -> pack.caseOf(25)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Cell 9 of a three by six snake is not where a straight count puts it. */
    @Test
    void cellNineOfASnakeLiesInTheMiddleRow() {
        CasePlace nine = TrayPattern.ROWS_FROM_LEFT.layout(3, 6).caseOf(9);
        assertThat(nine.row()).isEqualTo(1);
        assertThat(nine.column()).isEqualTo(3);
    }

    @ParameterizedTest
    @CsvSource({
        "1 2 2, 1, TWICE, 2",
        "1 2 4, 1, MISSING, 3",
        "1 x 2, 1, NOT_A_PLACE, x",
        "1> 2, 3, NO_FACING, 2",
        "1 2 3 4 5 6 7 8 9 10 11 12 13, 1, TOO_LARGE, 13 x 1",
        "., 1, MISSING, 1"
    })
    void aFaultNamesWhatIsWrongAndWhere(String text, int cellsPerCase, LayoutFault.Kind kind, String piece) {
        assertThatThrownBy(() -> LayoutText.parse(text, cellsPerCase)).isInstanceOfSatisfying(LayoutFault.class, e -> {
            assertThat(e.kind()).isEqualTo(kind);
            assertThat(e.piece()).isEqualTo(piece);
        });
    }

    @Test
    void aLongCableBetweenCasesIsAGap() {
        assertThat(LayoutText.parse("1 3/4 2", 1).gaps())
                .containsExactly(new CellLayout.Gap(1, 2), new CellLayout.Gap(3, 4));
    }

    @Test
    void gravityMarksMustRise() {
        assertThatThrownBy(() -> GravityMarks.ofPoints(1200, 1180, 1275, 1295))
                .isInstanceOf(IllegalArgumentException.class);
        for (Duty duty : Duty.values()) {
            assertThat(GravityMarks.usualFor(duty)
                            .scale()
                            .of(GravityMarks.usualFor(duty).fullTo())
                            .percent())
                    .isEqualTo(100);
        }
    }

    @ParameterizedTest
    @CsvSource({"RIGHT, true", "LEFT, true", "FRONT, false", "BACK, false"})
    void aCaseLiesSidewaysOrAlong(Facing facing, boolean sideways) {
        assertThat(facing.isSideways()).isEqualTo(sideways);
    }
}
