package org.ostendum.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.state.Told.hoursAgo;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.history.Whereabouts.Move;
import org.ostendum.core.history.Whereabouts.Stay;

class WhereaboutsTest {
    private static final Whereabouts MOVED = Whereabouts.of(
            List.of(
                    new Move(hoursAgo(10), "F7", "Stand B 2"),
                    new Move(hoursAgo(40), "Stand A 1", "F7"),
                    new Move(hoursAgo(5), null, "F7")),
            "F7");

    @Test
    void aStayEndsWhereTheNextBegins() {
        assertThat(MOVED.stays())
                .containsExactly(
                        new Stay("Stand A 1", null, hoursAgo(40)),
                        new Stay("F7", hoursAgo(40), hoursAgo(10)),
                        new Stay("Stand B 2", hoursAgo(10), hoursAgo(5)),
                        new Stay("F7", hoursAgo(5), null));
        assertThat(MOVED.in("F7")).hasSize(2);
    }

    @Test
    void atAnyMomentItIsInOnePlace() {
        assertThat(MOVED.at(hoursAgo(999))).contains("Stand A 1");
        assertThat(MOVED.at(hoursAgo(40))).contains("F7");
        assertThat(MOVED.at(hoursAgo(11))).contains("F7");
        assertThat(MOVED.at(hoursAgo(10))).contains("Stand B 2");
        assertThat(MOVED.at(hoursAgo(0))).contains("F7");
    }

    @Test
    void whatNeverMovedHasAlwaysBeenWhereItIs() {
        assertThat(Whereabouts.of(List.of(), "Stand C 4").at(hoursAgo(9000))).contains("Stand C 4");
        assertThat(Whereabouts.of(List.of(), null).at(hoursAgo(1))).isEmpty();
    }
}
