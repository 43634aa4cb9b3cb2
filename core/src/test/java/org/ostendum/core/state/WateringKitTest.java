package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent.DrewOff;
import org.ostendum.core.event.BatteryEvent.KitFitted;
import org.ostendum.core.event.BatteryEvent.KitLookedAt;
import org.ostendum.core.event.BatteryEvent.KitTakenOff;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.Level;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.fact.KitFacts;

class WateringKitTest {
    private static final int YEAR_OF_HOURS = 24 * 366;

    private static KitFitted fitted(double hoursAgo) {
        return new KitFitted(Told.hoursAgo(hoursAgo), "short float", 3);
    }

    private static List<NextStep> steps(Told told) {
        return NextThings.of("T-1", told.state()).stream().map(NextThing::step).toList();
    }

    @Test
    void aKitIsOnFromItsFittingUntilItIsTakenOff() {
        assertThat(Told.inOrder().state().kit()).isEqualTo(KitFacts.NOTHING);
        Told told = Told.inOrder().and(fitted(18));
        assertThat(told.state().kit())
                .isEqualTo(new KitFacts("short float", 3, Told.hoursAgo(18), Told.hoursAgo(18), Set.of()));
        told.and(new KitLookedAt(Told.hoursAgo(4)), new KitTakenOff(Told.hoursAgo(2)));
        assertThat(told.state().kit()).isEqualTo(new KitFacts("short float", 3, null, Told.hoursAgo(4), Set.of()));
        assertThat(told.state().kit().isOn()).isFalse();
    }

    @Test
    void oneCellLowAmongOthersThatAreRightHasAnInjectorThatSticks() {
        Told told = Told.inOrder()
                .and(fitted(19))
                .looked(5, Level.RIGHT, Level.LOW, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.RIGHT);
        assertThat(told.state().stuckInjectors().closed().numbers()).containsExactly(2);
        assertThat(told.state().stuckInjectors().open().isEmpty()).isTrue();
        assertThat(steps(told)).contains(NextStep.LOOK_AT_KIT);
        assertThat(steps(told.and(new KitTakenOff(Told.hoursAgo(1))))).doesNotContain(NextStep.LOOK_AT_KIT);
    }

    @Test
    void oneOverItsMarkHasOneThatDoesNotClose() {
        Told told = Told.inOrder()
                .and(fitted(19))
                .looked(5, Level.RIGHT, Level.RIGHT, Level.OVER, Level.RIGHT, Level.RIGHT, Level.RIGHT);
        assertThat(told.state().stuckInjectors().open().numbers()).containsExactly(3);
        assertThat(steps(told)).contains(NextStep.LOOK_AT_KIT, NextStep.DRAW_OFF);
    }

    /** Drawn off, the cell is right again and its injector is not: it is known until somebody has looked at the kit. */
    @Test
    void whatWasDrawnOffDoesNotMendTheInjector() {
        Told told = Told.inOrder()
                .and(fitted(19))
                .looked(8, Level.RIGHT, Level.RIGHT, Level.OVER, Level.RIGHT, Level.RIGHT, Level.RIGHT)
                .and(new DrewOff(Told.hoursAgo(6), null, null));
        assertThat(told.state().levels().over()).isEmpty();
        assertThat(told.state().stuckInjectors().open().numbers()).containsExactly(3);
        assertThat(steps(told)).contains(NextStep.LOOK_AT_KIT).doesNotContain(NextStep.DRAW_OFF);
        told.and(new KitLookedAt(Told.hoursAgo(2)));
        assertThat(told.state().stuckInjectors().isEmpty()).isTrue();
    }

    @Test
    void manyLowTogetherWereNotWateredAndWithoutAKitNothingSticks() {
        Told many = Told.inOrder()
                .and(fitted(19))
                .looked(5, Level.LOW, Level.LOW, Level.LOW, Level.RIGHT, Level.RIGHT, Level.RIGHT);
        assertThat(many.state().stuckInjectors().isEmpty()).isTrue();
        Told none =
                Told.inOrder().looked(5, Level.RIGHT, Level.LOW, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.RIGHT);
        assertThat(none.state().stuckInjectors().isEmpty()).isTrue();
        assertThat(steps(none)).doesNotContain(NextStep.LOOK_AT_KIT);
    }

    @Test
    void onceAYearItIsLookedOver() {
        Told told = Told.nothing().and(fitted(YEAR_OF_HOURS)).watered(200, 400).charged(180, 168);
        assertThat(steps(told)).contains(NextStep.LOOK_AT_KIT);
        assertThat(steps(told.and(new KitLookedAt(Told.hoursAgo(2))))).doesNotContain(NextStep.LOOK_AT_KIT);
    }
}
