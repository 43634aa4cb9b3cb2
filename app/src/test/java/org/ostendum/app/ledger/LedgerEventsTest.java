package org.ostendum.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.Volts;

class LedgerEventsTest {
    private static final Instant AT = Instant.parse("2026-03-05T08:30:00Z");

    static Stream<BatteryEvent> events() {
        return Stream.of(
                new BatteryEvent.Arrived(AT, true),
                new BatteryEvent.Arrived(AT, false),
                new BatteryEvent.Moved(AT, "rack 2, place 4", null),
                new BatteryEvent.Moved(AT, null, "R-07"),
                new BatteryEvent.ChargeStarted(AT, ChargeKind.OPPORTUNITY, "CR-1"),
                new BatteryEvent.ChargeStarted(AT, ChargeKind.CONVENTIONAL, null),
                new BatteryEvent.ChargeEnded(
                        AT, Ending.FULL, Set.of(FullSign.RETURNED, FullSign.LAMP), AmpHours.of(412.5)),
                BatteryEvent.ChargeEnded.unstated(AT, null),
                new BatteryEvent.Worked(AT, AmpHours.of(260)),
                new BatteryEvent.Worked(AT, null),
                new BatteryEvent.Watered(AT, Millilitres.of(3200), null, Fill.TO_MARK),
                new BatteryEvent.Watered(AT, null, 7, Fill.UNSTATED),
                new BatteryEvent.Equalised(AT, Duration.ofMinutes(150)),
                new BatteryEvent.Equalised(AT, null),
                new BatteryEvent.Washed(AT),
                new BatteryEvent.StoodFlat(AT, Duration.ofHours(31)),
                new BatteryEvent.CellReplaced(AT, 5, "LK-88213"),
                new BatteryEvent.CellReplaced(AT, 5, null),
                new BatteryEvent.CellMarked(AT, 5, "LK-88213", "C6"),
                new BatteryEvent.CellBridged(AT, 5, Instant.parse("2026-03-19T06:00:00Z")),
                new BatteryEvent.BlocksMoved(AT, List.of(6, 5, 3, 4, 2, 1)),
                new BatteryEvent.KitFitted(AT, "S-30", 4),
                new BatteryEvent.KitFitted(AT, "S-30", null),
                new BatteryEvent.KitLookedAt(AT),
                new BatteryEvent.KitTakenOff(AT),
                new BatteryEvent.HottestOfCharge(AT, Celsius.of(47.5)),
                new BatteryEvent.TemperatureRead(AT, Celsius.of(-4)),
                new BatteryEvent.DrewOff(AT, Millilitres.of(120), 3),
                new BatteryEvent.LevelRead(AT, 3, -2.5),
                new BatteryEvent.AcidAdjusted(AT, 3),
                new BatteryEvent.AcidAdjusted(AT, null),
                new BatteryEvent.ChargerChecked(AT),
                new BatteryEvent.Held(AT, "case cracked"),
                new BatteryEvent.Released(AT),
                new BatteryEvent.Commissioned(AT),
                new BatteryEvent.PutInStore(AT),
                new BatteryEvent.Retired(AT),
                new BatteryEvent.CapacityTested(AT, AmpHours.of(388), 0.812),
                new BatteryEvent.Signed(AT, "9f2c"),
                new BatteryEvent.RestVoltageRead(AT, new Volts(2113)));
    }

    @ParameterizedTest
    @MethodSource("events")
    void anEventIsReadBackFromItsLine(BatteryEvent event) {
        assertThat(LedgerEvents.event(LedgerEvents.entry(event, 1, ""))).contains(event);
    }

    @ParameterizedTest
    @MethodSource("events")
    void whatWasDoneWithinAJobTellsTheSame(BatteryEvent event) {
        NewEntry line = LedgerEvents.entry(event, 1, "")
                .with(new LedgerPayload.OfJob(12L, "watering"), new LedgerPayload.Remark("by hand"));
        assertThat(LedgerText.read(line.payload(), LedgerPayload.OfJob.class).job())
                .isEqualTo(12);
        if (!(event instanceof BatteryEvent.Held)) {
            assertThat(LedgerEvents.event(line)).contains(event);
        }
    }

    /** A new event that nobody gave a line shows here. */
    @Test
    void everyEventIsToldByALineOrHasATableOfItsOwn() {
        Set<Class<?>> ownTable =
                Set.of(BatteryEvent.RoundTaken.class, BatteryEvent.DefectFound.class, BatteryEvent.DefectRighted.class);
        assertThat(events().map(BatteryEvent::getClass).distinct())
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(BatteryEvent.class.getPermittedSubclasses())
                        .filter(kind -> !ownTable.contains(kind))
                        .<Class<? extends BatteryEvent>>map(kind -> kind.asSubclass(BatteryEvent.class))
                        .toList());
    }

    @Test
    void aDefectHasNoLineOfThisKind() {
        assertThatThrownBy(() -> LedgerEvents.entry(new BatteryEvent.DefectRighted(AT, "D-1"), 1, ""))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("defect_righted");
    }

    @Test
    void aRemarkStandsBesideWhatIsTold() {
        NewEntry line = LedgerEvents.entry(new BatteryEvent.Watered(AT, null, null, Fill.COVERED), 1, "level was low");
        assertThat(line.payload()).isEqualTo("{\"remark\":\"level was low\",\"fill\":\"covered\"}");
    }

    /** As earlier versions wrote them: what they keep is never written anew. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "CHARGE_END|{\"how\":\"broken_off\",\"evidence\":[\"lamp\",\"of_another_day\"]}|BROKEN_OFF",
                "CHARGE_START|{\"charge\":\"INITIAL\",\"charger\":\"CR-2\",\"title\":\"Commission\"}|INITIAL",
                "WATER|{\"fill\":\"to_mark\"}|TO_MARK",
                "WATER|{}|UNSTATED",
                "CHARGE_START|{}|CONVENTIONAL",
                "CELL_BRIDGED|{\"until\":\"2026-03-19T06:00:00Z\"}|2026-03-19T06:00:00Z",
                "VOLTAGE|{\"load\":\"REST\",\"read\":6,\"restMillivoltsPerCell\":2113,\"held\":[]}|2113",
                "ADDED|{}|dry=false"
            })
    void linesOfEarlierVersionsAreRead(EntryKind kind, String payload, String tells) {
        assertThat(LedgerEvents.event(kind, AT, 4, BigDecimal.ONE, payload)
                        .orElseThrow()
                        .toString())
                .contains(tells);
    }

    @Test
    void voltagesUnderLoadTellNothingOfTheState() {
        assertThat(LedgerEvents.event(EntryKind.VOLTAGE, AT, null, null, "{\"load\":\"LOAD\",\"read\":6}"))
                .isEmpty();
    }

    @Test
    void whatIsNotedTellsNothing() {
        for (EntryKind kind : EnumSet.of(EntryKind.NOTE, EntryKind.JOB, EntryKind.CORRECTION, EntryKind.ROUND)) {
            assertThat(LedgerEvents.event(kind, AT, null, null, "{}")).isEmpty();
        }
    }
}
