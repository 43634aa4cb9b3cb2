package org.ostendum.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.plan.SmallRoom.at;

import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Task;

/** Practice {@code measure.not-after-water}: readings first, then water. */
class ReadBeforeWaterTest {
    private static final Due WATER = new Due(Task.WATER, at(0, 0), at(0, 12), 10, 0);

    private final SmallRoom room = new SmallRoom();

    private static Due round(Instant from, Instant until) {
        return new Due(Task.ROUND, from, until, 10, 0);
    }

    private List<PlanJob> planned(Due... due) {
        room.machines.clear();
        room.with(SmallRoom.battery("B4", 0, due));
        return PlanMaker.byRuleOfThumb(room.problem()).jobs().stream()
                .filter(job -> job.battery().equals("B4"))
                .toList();
    }

    private static int placeOf(Task what, List<PlanJob> jobs) {
        return IntStream.range(0, jobs.size())
                .filter(i -> jobs.get(i).what() == what)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsDueToBeReadIsReadBeforeItIsWatered() {
        for (Instant until : List.of(at(0, 12), at(1, 12))) {
            List<PlanJob> jobs = planned(WATER, round(at(0, 0), until));
            assertThat(placeOf(Task.ROUND, jobs)).as("round due by " + until).isLessThan(placeOf(Task.WATER, jobs));
        }
    }

    private void pinnedWater(Instant start) {
        room.pinned.add(
                new PlanJob("w", Task.WATER, "B4", null, null, null, "tom", start, start.plusSeconds(600), true, null));
    }

    /** Nothing charges it, so nothing mixes. */
    @Test
    void itIsReadBeforeThePinnedWaterOrNotAtAll() {
        pinnedWater(at(0, 6));
        List<PlanJob> jobs = planned(WATER, round(at(0, 0), at(1, 12)));
        assertThat(placeOf(Task.ROUND, jobs)).isLessThan(placeOf(Task.WATER, jobs));
        room.pinned.clear();
        pinnedWater(at(0, 5));
        assertThat(planned(WATER, round(at(0, 0), at(1, 12))))
                .as("nobody is there before five")
                .extracting(PlanJob::what)
                .containsExactly(Task.WATER);
    }

    @Test
    void aRoundThatIsDueOnlyDaysLaterDoesNotKeepWaterWaiting() {
        List<PlanJob> jobs = planned(WATER, round(at(1, 0), at(1, 20)));
        assertThat(jobs).extracting(PlanJob::what).contains(Task.WATER);
        assertThat(jobs.get(placeOf(Task.WATER, jobs)).start()).isBefore(at(0, 12));
    }
}
