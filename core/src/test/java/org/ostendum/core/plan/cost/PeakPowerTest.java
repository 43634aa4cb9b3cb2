package org.ostendum.core.plan.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.ostendum.core.plan.SmallRoom.at;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.SmallRoom;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Task;

class PeakPowerTest {
    private final SmallRoom room = new SmallRoom();

    /** At a charger of 10 kW, ten hours: full for four, falling for two and a half, a quarter for the rest. */
    private static PlanJob charge(String charger, Instant start) {
        return new PlanJob(
                charger,
                Task.CHARGE,
                "B1",
                null,
                null,
                charger,
                null,
                start,
                start.plus(Duration.ofHours(10)),
                false,
                null);
    }

    private double most(PlanJob... jobs) {
        PlanProblem problem = room.problem();
        return PeakPower.of(problem, new PlanLookup(problem), List.of(jobs));
    }

    @Test
    void twoThatBeginTogetherDrawTwiceTheirPower() {
        assertThat(most(charge("K1", at(0, 1)), charge("K2", at(0, 1)))).isEqualTo(20);
    }

    /** They are on charge together for three hours and a half all the same. */
    @Test
    void oneThatBeginsWhileTheOtherFinishesAddsAQuarter() {
        assertThat(most(charge("K1", at(0, 1)), charge("K2", at(0, 8)))).isCloseTo(12.5, within(1e-9));
    }

    /** Half of the half hour: meters tell the mean. */
    @Test
    void aHalfHourThatIsTouchedCountsByAsMuch() {
        Instant quarterPast = at(0, 5).plus(Duration.ofMinutes(15));
        PlanJob ends =
                new PlanJob("x", Task.EQUALISE, "B2", null, null, "K2", null, at(0, 1), quarterPast, false, null);
        assertThat(most(ends)).isEqualTo(2.5);
        assertThat(most(charge("K1", at(0, 5).minus(Duration.ofMinutes(15))), ends))
                .isCloseTo(11.25, within(1e-9));
    }

    @Test
    void whatBeganBeforeThePlanCountsFromItsBeginning() {
        assertThat(most(charge("K1", at(0, -5)))).isCloseTo(6.2, within(1e-9));
    }

    @Test
    void belowWhatTheMeterHasReachedNothingIsSaved() {
        room.room = new RoomLimits(null, null, Map.of(), 15);
        assertThat(most(charge("K1", at(0, 1)))).isEqualTo(15);
        assertThat(most(charge("K1", at(0, 1)), charge("K2", at(0, 1)))).isEqualTo(20);
    }
}
