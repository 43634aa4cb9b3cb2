package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.judge.Message;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.state.Told;

class KeepsTest {
    private final Told told = Told.inOrder();

    private Optional<String> why() {
        return Keeps.why(new Subject("T-1", told.state(), 930, "grey")).map(Message::key);
    }

    @Test
    void nothingKeepsOneThatIsInOrder() {
        assertThat(why()).isEmpty();
    }

    @Test
    void barePlatesAreSaidAsWhatIsToBeCoveredAndNotAsAFinding() {
        told.looked(2, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.EXPOSED);
        assertThat(why()).contains("gate.PLATES_COVERED.shut");
    }

    @Test
    void whatALeadHasDecidedIsSaidBeforeWhatIsFound() {
        told.looked(2, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.EXPOSED);
        told.and(new BatteryEvent.Held(Told.NOW.minus(Duration.ofHours(1)), "waits for its new cell"));
        assertThat(why()).contains("gate.NOT_HELD.shut");
    }

    @Test
    void aFindingNamesTheBatteryThatItIsOf() {
        told.read(48, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1215, 1284, 1285);
        told.read(24, RoundState.AFTER_EQUALISE, 1285, 1284, 1286, 1214, 1284, 1285);
        Message why = Keeps.why(new Subject("T-1", told.state(), 930, "grey")).orElseThrow();
        assertThat(why.key()).isEqualTo("keeps.finding");
        assertThat(why.arguments()).first().isEqualTo("T-1");
    }

    @Test
    void aWornPlugIsSaid() {
        told.and(new BatteryEvent.DefectFound(Told.NOW.minus(Duration.ofHours(1)), "1", DefectKind.WORN_PLUG));
        assertThat(why()).contains("gate.SOUND_FOR_CHARGE.shut");
    }
}
