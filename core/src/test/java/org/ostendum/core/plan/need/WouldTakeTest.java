package org.ostendum.core.plan.need;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.PlanProblems;
import org.ostendum.core.plan.need.WouldTake.Line;

class WouldTakeTest {
    private final PlanProblem house = PlanProblems.small();
    private final Pool pool = Pool.of(house).get(0);
    private final Map<Supply, Line> lines = WouldTake.of(house, pool, ZoneOffset.UTC).stream()
            .collect(Collectors.toMap(Line::supply, Function.identity()));

    private WeekSum usual(Supply supply) {
        return lines.get(supply).usual();
    }

    @Test
    void thePoolIsWhatIsChanged() {
        assertThat(Pool.of(house)).containsExactly(new Pool(48, "blue"));
        assertThat(pool.batteries(house)).hasSize(4);
    }

    @Test
    void everyShiftIsCountedOnceAndSoIsEveryUse() {
        WeekSum week = usual(Supply.AS_IT_IS);
        assertThat(week.shifts()).isEqualTo(5);
        assertThat(week.unmet()).isZero();
        assertThat(week.cycles()).isEqualTo(1);
        assertThat(week.handHours()).isPositive();
    }

    /** What would be needed is asked for any month, not for the one whose peak is paid already. */
    @Test
    void whatTheMeterHasReachedHidesNoPeak() {
        PlanProblem reached = house.with(site -> site.withRoom(house.room().reached(500)));
        WeekSum week = WouldTake.of(reached, pool, ZoneOffset.UTC).get(0).usual();
        assertThat(week.mostKilowatts())
                .isPositive()
                .isEqualTo(usual(Supply.AS_IT_IS).mostKilowatts());
    }

    /** Of four batteries for two trucks two are free; with one of those less the second day lacks one, or the one left works more. */
    @Test
    void aBatteryLessMakesTheOthersWorkMore() {
        assertThat(usual(Supply.BATTERY_LESS).cycles())
                .isGreaterThan(usual(Supply.AS_IT_IS).cycles());
        assertThat(usual(Supply.BATTERY_MORE).cycles())
                .isLessThan(usual(Supply.AS_IT_IS).cycles());
    }

    @Test
    void aBadWeekIsNoBetter() {
        assertThat(lines.values()).allSatisfy(line -> assertThat(line.bad().unmet())
                .isGreaterThanOrEqualTo(line.usual().unmet()));
        assertThat(lines.get(Supply.AS_IT_IS).bad().unmet()).isPositive();
    }

    @Test
    void cheapNightsCostNoMore() {
        assertThat(usual(Supply.CHEAP_NIGHTS).energy())
                .isLessThan(usual(Supply.AS_IT_IS).energy());
    }

    @Test
    void everyThingIsThereOnce() {
        assertThat(WouldTake.of(house, pool, ZoneOffset.UTC))
                .extracting(Line::supply)
                .isEqualTo(List.of(Supply.values()));
    }
}
