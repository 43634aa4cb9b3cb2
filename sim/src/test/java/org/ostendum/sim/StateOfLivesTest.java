package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Contradictions;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.Told;
import org.ostendum.core.state.fact.Sheet;

/** What is said of simulated lives never contradicts itself. */
class StateOfLivesTest {
    private static final Instant START = Instant.parse("2026-01-01T06:00:00Z");
    private static final Sheet SHEET = new Sheet(Told.SIX, Rules.standard());

    /** Whole lives, with faults and with people who err, asked every few hours. */
    @Property(tries = 6)
    void contradictionsAreNotSaidOverSimulatedLives(@ForAll Random random) {
        long seed = random.nextLong();
        Life life = SimulatedBattery.live(
                Told.SIX,
                Site.random(random),
                List.of(new Fault.SoftShort(3, 60, 0.0004), new Fault.DryingCell(5, 30, 0.05)),
                START,
                240,
                0.25,
                seed);
        List<BatteryEvent> events = new ArrayList<>(life.events().all());
        life.rounds().forEach(round -> events.add(new BatteryEvent.RoundTaken(round)));
        events.sort(Comparator.comparing(BatteryEvent::at));
        BatteryFold fold = BatteryFold.begin(SHEET, ZoneOffset.UTC);
        for (BatteryEvent event : events) {
            fold.fold(event);
            for (int hours : new int[] {0, 3, 9}) {
                BatteryState state = fold.at(event.at().plus(Duration.ofHours(hours)), Surroundings.NOTHING);
                assertThat(Contradictions.in(state)).isEmpty();
            }
        }
    }
}
