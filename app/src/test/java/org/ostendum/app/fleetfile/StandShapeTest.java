package org.ostendum.app.fleetfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.fleetfile.StandShape.Corner;
import org.ostendum.app.fleetfile.StandShape.Rectangle;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;

class StandShapeTest {
    private static Stand stand(int x, int y, int width, int depth, int slots) {
        List<Slot> places = IntStream.rangeClosed(1, slots)
                .mapToObj(n -> new Slot(n, n, "P " + n, 1, null, null))
                .toList();
        return new Stand(1, "P", "P", StandKind.STAND, x, y, width, depth, places);
    }

    @ParameterizedTest
    @CsvSource({"500, 120, 5", "120, 500, 5", "300, 110, 2", "900, 300, 9"})
    void theRectangleAroundThePlacesIsTheStandTheyStandIn(int width, int depth, int places) {
        Stand stand = stand(40, 60, width, depth, places);
        List<Corner> corners = IntStream.range(0, places)
                .mapToObj(i -> StandShape.corner(stand, i))
                .toList();
        assertThat(StandShape.around(corners, stand)).isEqualTo(Rectangle.of(stand));
    }

    @ParameterizedTest
    @CsvSource({"Stand A 3, Stand A", "A-03, A", "R1-04, R1", "Bay, Bay", "7, Stand"})
    void theStandIsWhatStandsBeforeTheNumber(String place, String stand) {
        assertThat(StandShape.standOf(place)).isEqualTo(stand);
    }

    @Test
    void aPlaceHasTheNumberOfItsCodeWhereThatIsFree() {
        assertThat(StandShape.number("A-07", Map.of(), 60)).isEqualTo(7);
        assertThat(StandShape.number("A-07", Map.of(7, "A 7"), 60)).isEqualTo(1);
        assertThat(StandShape.number("A-99", Map.of(1, "A-1"), 60)).isEqualTo(2);
        assertThat(StandShape.number("A-3", Map.of(1, "A-1", 2, "A-2"), 2)).isZero();
    }

    @Test
    void aNewStandLiesInFrontOfWhatStandsThere() {
        Rectangle below = StandShape.below(List.of(stand(0, 100, 500, 120, 4)), 6);
        assertThat(below.y()).isGreaterThan(220);
        assertThat(below.width()).isEqualTo(600);
    }

    @Test
    void itsCodeCanStandInAnAddress() {
        assertThat(StandShape.freeCode("Stand Ä, hinten", c -> false)).matches("[A-Za-z0-9-]{1,20}");
        assertThat(StandShape.freeCode("Stand A", "A"::equals)).isEqualTo("A-2");
    }
}
