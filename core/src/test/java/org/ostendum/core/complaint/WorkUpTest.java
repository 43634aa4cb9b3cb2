package org.ostendum.core.complaint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.complaint.Look.Outcome;
import org.ostendum.core.complaint.WorkUp.Likely;

class WorkUpTest {
    @ParameterizedTest
    @EnumSource(Complaint.class)
    void theCausesOfEveryComplaintSumToOneAndItAlwaysEnds(Complaint complaint) {
        for (int which = 0; which < 4; which++) {
            WorkUp workUp = WorkUp.of(complaint);
            while (!workUp.isDone()) {
                Look next = workUp.next().orElseThrow();
                workUp = workUp.with(
                        next, next.outcomes().get(which % next.outcomes().size()));
                assertThat(workUp.causes().stream().mapToDouble(Likely::part).sum())
                        .isCloseTo(1, within(1e-9));
            }
            assertThat(workUp.answers()).isNotEmpty();
        }
    }

    /** The cheap looks come first: nobody begins with a capacity test. */
    @ParameterizedTest
    @EnumSource(Complaint.class)
    void theFirstLookIsACheapOne(Complaint complaint) {
        assertThat(WorkUp.of(complaint).next().orElseThrow().minutes()).isLessThanOrEqualTo(5);
    }

    @Test
    void aChargerThatDoesNotBeginWithThisBatteryAloneIsAFlatBattery() {
        WorkUp workUp = WorkUp.of(Complaint.WILL_NOT_CHARGE)
                .with(Look.CHARGER_STARTS, Outcome.NOT_WITH_THIS)
                .with(Look.VOLTS_AT_REST, Outcome.BELOW_LOCK_OUT);
        assertThat(workUp.isFound()).isTrue();
        assertThat(workUp.causes().get(0).cause()).isEqualTo(Cause.TOO_FLAT);
        assertThat(workUp.minutes()).isEqualTo(6);
    }

    @Test
    void barePlatesAreFoundAndAreADefectThatShutsTheCharge() {
        WorkUp workUp =
                WorkUp.of(Complaint.GETS_HOT).with(Look.LEVELS, Outcome.BARE).with(Look.TOP, Outcome.CLEAN);
        Cause cause = workUp.causes().get(0).cause();
        assertThat(cause).isEqualTo(Cause.LOW_LEVEL);
        assertThat(cause.defect().orElseThrow().shutsCharge()).isTrue();
    }

    /** What is read twice as often here counts so, and the rest keeps its order. */
    @Test
    void aSiteMayCountForItself() {
        WorkUpTable own = WorkUpTable.standard().withPriors(Map.of(Complaint.SLOW, Map.of(Cause.MACHINE, 0.5)));
        assertThat(own.priors(Complaint.SLOW).get(Cause.MACHINE)).isCloseTo(0.5, within(1e-9));
        assertThat(own.priors(Complaint.SLOW).values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(own.priors(Complaint.SMELLS))
                .isEqualTo(WorkUpTable.standard().priors(Complaint.SMELLS));
    }

    /** However sure a site is of what a look shows, a look may be wrong: nothing is ruled out by it alone. */
    @Test
    void aSiteMaySayWhatItsLooksShow() {
        WorkUpTable own = WorkUpTable.standard()
                .withShows(Map.of(Look.TOP, Map.of(Cause.MACHINE, Map.of(Outcome.DIRTY, 1.0, Outcome.CLEAN, 0.0))));
        assertThat(own.chance(Look.TOP, Cause.MACHINE, Outcome.DIRTY)).isBetween(0.98, 0.999);
        assertThat(own.chance(Look.TOP, Cause.MACHINE, Outcome.CLEAN)).isPositive();
        assertThat(own.chance(Look.TOP, Cause.WORN_OUT, Outcome.DIRTY))
                .isEqualTo(WorkUpTable.standard().chance(Look.TOP, Cause.WORN_OUT, Outcome.DIRTY));
        assertThatThrownBy(() -> WorkUpTable.standard()
                        .withShows(Map.of(Look.TOP, Map.of(Cause.MACHINE, Map.of(Outcome.DIRTY, 1.0)))))
                .hasMessageContaining("TOP");
    }

    @Test
    void aLookShowsOnlyWhatItCanShow() {
        assertThatThrownBy(() -> WorkUp.of(Complaint.SLOW).with(Look.TOP, Outcome.BARE))
                .hasMessageContaining("DIRTY");
    }

    @Test
    void aTableThatLacksSomethingIsRefusedByName() {
        String whole = Stream.of("version 9", "prior SLOW MACHINE=1")
                .reduce((a, b) -> a + "\n" + b)
                .orElseThrow();
        assertThatThrownBy(() -> WorkUpTable.read(whole)).hasMessageContaining("SLOW");
        assertThatThrownBy(() -> WorkUpTable.read("nonsense here")).hasMessageContaining("nonsense");
        assertThat(WorkUpTable.standard().version()).isEqualTo("2");
    }
}
