package org.ostendum.app.round;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.draw.Box;
import org.ostendum.app.draw.CellBox;
import org.ostendum.app.support.TestWords;

class CellFigureTest {
    private static CellFigure figure(String figure, String tone, String remark) {
        return new CellFigure(new CellBox(9, new Box(0, 0, 100, 80)), figure, tone, remark);
    }

    @ParameterizedTest
    @CsvSource({
        "1.265, NONE, true, cell cell-NONE",
        "1265, WATCH, true, cell cell-WATCH",
        "too low, ACT, true, cell cell-ACT worded",
        "1.265, STOP, false, cell cell-UNREAD",
        ", NONE, false, cell cell-UNREAD",
    })
    void itsLookTellsWhatIsHeldAgainstItOnceItIsRead(String figure, String tone, boolean read, String classes) {
        assertThat(figure(figure, tone, null).classes(read)).isEqualTo(classes);
    }

    @Test
    void aScreenReaderHearsTheCellItsFigureAndTheRemark() {
        assertThat(figure("1.265", "NONE", "over the mark").aloud(TestWords.metric()))
                .isEqualTo("Cell 9: 1.265, over the mark");
        assertThat(figure(null, "NONE", null).aloud(TestWords.metric())).isEqualTo("Cell 9: –");
    }
}
