package org.ostendum.core.event;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.event.EntryKind.ADDED;
import static org.ostendum.core.event.EntryKind.CELL_REPLACED;
import static org.ostendum.core.event.EntryKind.CORRECTION;
import static org.ostendum.core.event.EntryKind.DEFECT;
import static org.ostendum.core.event.EntryKind.DEFECT_RIGHTED;
import static org.ostendum.core.event.EntryKind.JOB;
import static org.ostendum.core.event.EntryKind.LEVEL;
import static org.ostendum.core.event.EntryKind.MOVED;
import static org.ostendum.core.event.EntryKind.SIGNED;
import static org.ostendum.core.event.EntryKind.TEMPERATURE;
import static org.ostendum.core.event.EntryKind.TEMPERATURE_MAX;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Washed;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Millilitres;

/** What lines and events tell, and the log they make. */
class EntryKindTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");

    private static Set<EntryKind> those(Predicate<EntryKind> holds) {
        return Arrays.stream(EntryKind.values()).filter(holds).collect(Collectors.toSet());
    }

    @Test
    void someLinesNeedACellOrAFigure() {
        assertThat(those(EntryKind::needsCell)).containsExactlyInAnyOrder(CELL_REPLACED, LEVEL);
        assertThat(those(EntryKind::needsQuantity)).containsExactlyInAnyOrder(LEVEL, TEMPERATURE, TEMPERATURE_MAX);
    }

    @Test
    void whatOtherPartsHaveWrittenIsNotTakenBackWhole() {
        assertThat(those(kind -> !kind.canBeVoided()))
                .containsExactlyInAnyOrder(CORRECTION, ADDED, MOVED, JOB, DEFECT, DEFECT_RIGHTED, SIGNED);
        assertThat(EntryKind.BY_HAND).containsAll(EntryKind.BY_LEAD);
    }

    @Test
    void wordsOfEventsEndingsAndSignsAreReadBack() {
        assertThat(new Washed(NOW).word()).isEqualTo("washed");
        assertThat(new BatteryEvent.CellReplaced(NOW, 1, null).word()).isEqualTo("cell_replaced");
        for (Ending ending : Ending.values()) {
            assertThat(Ending.ofWord(ending.word()).isPresent()).isEqualTo(ending != Ending.UNSTATED);
        }
        for (FullSign sign : FullSign.values()) {
            assertThat(FullSign.ofWord(sign.word())).contains(sign);
            assertThat(FullSign.isEvidence(List.of(sign))).isEqualTo(sign != FullSign.LAMP);
        }
        assertThat(FullSign.ofWord("nonsense")).isEmpty();
        assertThat(FullSign.isEvidence(List.of())).isFalse();
        assertThat(FullSign.isEvidence(List.of(FullSign.LAMP, FullSign.RETURNED)))
                .isTrue();
    }

    @Test
    void kindsOfChargesHaveTheirWays() {
        assertThat(ChargeKind.usual())
                .containsExactly(ChargeKind.CONVENTIONAL, ChargeKind.OPPORTUNITY, ChargeKind.AFTER_USE);
        assertThat(Arrays.stream(ChargeKind.values()).filter(ChargeKind::isPartial))
                .containsExactly(ChargeKind.OPPORTUNITY);
        assertThat(Arrays.stream(ChargeKind.values()).filter(ChargeKind::needsCaps))
                .containsExactly(ChargeKind.EQUALISE, ChargeKind.SULFATED);
    }

    private static Instant daysAgo(int days) {
        return NOW.minus(Duration.ofDays(days));
    }

    /** After {@code from} and up to {@code to}; what nobody has put a figure to adds nothing. */
    @Test
    void aLogIsAskedForAStretch() {
        EventLog log = new EventLog(List.of(
                new Worked(daysAgo(1), AmpHours.of(100)),
                new Worked(daysAgo(9), AmpHours.of(10)),
                new Worked(daysAgo(5), AmpHours.of(40)),
                new Worked(daysAgo(4), null),
                ChargeEnded.unstated(daysAgo(4), AmpHours.of(44)),
                ChargeEnded.unstated(daysAgo(3), null),
                new Watered(daysAgo(3), new Millilitres(700), null, Fill.UNSTATED),
                new Watered(daysAgo(2), null, null, Fill.UNSTATED),
                new Equalised(daysAgo(2), Duration.ofMinutes(150)),
                new Equalised(daysAgo(1), null)));
        assertThat(log.begun()).isEqualTo(daysAgo(9));
        assertThat(log.all()).isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
        assertThat(log.taken(daysAgo(9), daysAgo(1))).isEqualTo(140);
        assertThat(log.taken(daysAgo(10), daysAgo(2))).isEqualTo(50);
        assertThat(log.returned(daysAgo(9), NOW)).isEqualTo(44);
        assertThat(log.poured(daysAgo(9), NOW)).isEqualTo(700);
        assertThat(log.equalised(daysAgo(9), NOW)).isEqualTo(2.5);
        assertThat(log.between(Washed.class, Instant.EPOCH, NOW)).isEmpty();
        assertThat(EventLog.NONE.begun()).isNull();
        assertThat(EventLog.NONE.isEmpty()).isTrue();
    }
}
