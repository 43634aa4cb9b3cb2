package org.ostendum.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.LayoutText;

class KitRouteTest {
    @ParameterizedTest
    @CsvSource({
        // Along the path where it snakes by rows, across it where it does not.
        "1 2 3/6 5 4, 1, '1,2,3,4,5,6'",
        "1 6/2 5/3 4, 1, '1,6,5,2,3,4'",
        "1 2 ./. 3 4, 1, '1,2,4,3'",
        // Blocks lie either way round, and the tube goes over their cells as they lie.
        "1> 2>/4< 3<, 3, '1,2,3,4,5,6,7,8,9,10,11,12'",
        "1> 2</4< 3>, 3, '1,2,3,6,5,4,9,8,7,10,11,12'",
    })
    void theTubeGoesRowByRowAndComesBack(String layout, int perCase, String route) {
        assertThat(KitRoute.of(LayoutText.parse(layout, perCase)).toString().replace(" ", ""))
                .isEqualTo("[" + route + "]");
    }

    @Test
    void noCellIsPassedTwiceOrLeftOut() {
        CellLayout layout = LayoutText.parse("1 2 3 4/8 7 6 5/9 10 11 12/. 14 13 .", 1);
        assertThat(KitRoute.of(layout)).hasSize(14);
        assertThat(new HashSet<>(KitRoute.of(layout))).hasSize(14);
    }

    @Test
    void anotherKindIsTakenWhereItIsMeant() {
        assertThat(InjectorKind.isMeant("Short float", "short FLOAT")).isTrue();
        assertThat(InjectorKind.isMeant("long float", "short float")).isFalse();
        assertThat(InjectorKind.isMeant("long float instead of short float", "short float"))
                .isTrue();
        assertThat(InjectorKind.isMeant("long float instead of bayonet", "short float"))
                .isFalse();
        assertThat(InjectorKind.fitted(" long float Instead of short float")).isEqualTo("long float");
        assertThat(InjectorKind.fitted("bayonet ")).isEqualTo("bayonet");
    }
}
