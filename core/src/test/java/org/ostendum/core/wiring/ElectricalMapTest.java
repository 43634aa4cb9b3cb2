package org.ostendum.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.wiring.ElectricalMap.Between;

class ElectricalMapTest {
    private static ElectricalMap map(String layout, int cellsPerCase) {
        return new ElectricalMap(new BatteryModel(
                "m",
                CellKind.FLOODED,
                Duty.MOTIVE,
                LayoutText.parse(layout, cellsPerCase),
                AmpHours.of(600),
                6,
                GravityMarks.usualFor(Duty.MOTIVE)));
    }

    private final ElectricalMap pack = map("1> 2> 3>/6< 5< 4<", 4);
    private final ElectricalMap tray = map("1 2 3 4 5 6/12 11 10 9 8 7/13 14 15 16 17 18", 1);

    /** Six blocks of 8 V at 2.12 V a cell: one block 8.48 V, all 50.88 V. */
    @ParameterizedTest
    @CsvSource({
        "1+, 1-, 4, 1, 4, 8480",
        "1-, 2+, 0, 0, 0, 0",
        "1+, 6-, 24, 1, 24, 50880",
        "3-, 6-, 12, 13, 24, 25440",
        "6-, 1+, 24, 1, 24, -50880",
        "2+, 2+, 0, 0, 0, 0",
        "1+, 6+, 20, 1, 20, 42400",
    })
    void theVoltageOfTwoPostsIsThatOfTheCellsBetween(
            String one, String other, int cells, int first, int last, int millivolts) {
        Between between = pack.between(Post.parse(one), Post.parse(other));
        assertThat(between.cells()).isEqualTo(cells);
        assertThat(between.firstCell()).isEqualTo(first);
        assertThat(between.lastCell()).isEqualTo(last);
        assertThat(between.voltage().millivolts()).isEqualTo(millivolts);
        assertThat(between.isSameMetal()).isEqualTo(cells == 0);
    }

    /** In a tray that snakes, neighbours across the rows are far apart along the path. */
    @Test
    void neighboursInATrayMayBeFarApartInVoltage() {
        assertThat(tray.between(Post.parse("1+"), Post.parse("12-")).cells()).isEqualTo(12);
        assertThat(tray.between(Post.parse("1+"), Post.parse("12-")).amperes()).isEqualTo(7200);
        assertThat(tray.between(Post.parse("6-"), Post.parse("7+")).amperes()).isZero();
    }

    @Test
    void aboveSixtyVoltsItCanBeFelt() {
        ElectricalMap high = map("1> 2> 3> 4> 5> 6>", 6);
        assertThat(high.between(Post.parse("1+"), Post.parse("6-")).canBeFelt()).isTrue();
        assertThat(high.between(Post.parse("1+"), Post.parse("4-")).canBeFelt()).isFalse();
    }

    @Test
    void everyPostIsThere() {
        assertThat(pack.posts()).hasSize(12).startsWith(new Post(1, true), new Post(1, false));
        assertThat(pack.posts())
                .allSatisfy(post -> assertThat(Post.parse(post.text())).isEqualTo(post));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0+", "1", "+1", "1+-", "x+", "1000+"})
    void whatIsNoPostIsRefused(String text) {
        assertThatThrownBy(() -> Post.parse(text)).hasMessageContaining(text);
    }

    @Test
    void aPostThatIsNotThereIsRefused() {
        assertThatThrownBy(() -> pack.between(new Post(7, true), new Post(1, true)))
                .hasMessageContaining("7+");
    }
}
