package org.ostendum.app.ledger;

import static org.ostendum.app.ledger.EventLine.figures;
import static org.ostendum.app.ledger.EventLine.keeping;
import static org.ostendum.app.ledger.EventLine.plain;

import java.time.Duration;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.quantity.AmpHours;

/** Every event that a line of the ledger tells, with the line that tells it. Rounds and defects have tables of their own. */
final class EventLines {
    private static final List<EventLine<?, ?>> ALL = List.of(
            keeping(
                    EntryKind.ADDED,
                    BatteryEvent.Arrived.class,
                    LedgerPayload.Arrival.class,
                    event -> new LedgerPayload.Arrival(event.dry()),
                    (line, kept) -> new BatteryEvent.Arrived(line.at(), kept.dry())),
            keeping(
                    EntryKind.MOVED,
                    BatteryEvent.Moved.class,
                    LedgerPayload.Place.class,
                    event -> new LedgerPayload.Place(event.slot(), event.machine()),
                    (line, kept) -> new BatteryEvent.Moved(line.at(), kept.slot(), kept.machine())),
            keeping(
                    EntryKind.CHARGE_START,
                    ChargeStarted.class,
                    LedgerPayload.Charge.class,
                    event -> new LedgerPayload.Charge(event.kind(), event.charger()),
                    (line, kept) ->
                            new ChargeStarted(line.at(), or(kept.charge(), ChargeKind.CONVENTIONAL), kept.charger())),
            keeping(
                            EntryKind.CHARGE_END,
                            ChargeEnded.class,
                            LedgerPayload.ChargeEnd.class,
                            EventLines::ended,
                            (line, kept) -> new ChargeEnded(
                                    line.at(),
                                    or(kept.how(), Ending.UNSTATED),
                                    new HashSet<>(kept.signs()),
                                    line.ampHours()))
                    .withQuantity(event -> ampHours(event.returned())),
            figures(
                            EntryKind.DISCHARGE,
                            BatteryEvent.Worked.class,
                            line -> new BatteryEvent.Worked(line.at(), line.ampHours()))
                    .withQuantity(event -> ampHours(event.taken())),
            keeping(
                            EntryKind.WATER,
                            Watered.class,
                            LedgerPayload.Filling.class,
                            event -> new LedgerPayload.Filling(event.fill() == Fill.UNSTATED ? null : event.fill()),
                            (line, kept) -> new Watered(
                                    line.at(), line.millilitres(), line.cell(), or(kept.fill(), Fill.UNSTATED)))
                    .ofCell(Watered::cell)
                    .withQuantity(event -> event.poured() == null ? null : (Number) event.millilitres()),
            figures(EntryKind.EQUALISE_END, Equalised.class, line -> new Equalised(line.at(), line.hours()))
                    .withQuantity(event -> event.lasted() == null ? null : (Number) event.hours()),
            plain(EntryKind.WASH, BatteryEvent.Washed.class, BatteryEvent.Washed::new),
            figures(
                            EntryKind.STANDING_FLAT,
                            BatteryEvent.StoodFlat.class,
                            line -> new BatteryEvent.StoodFlat(line.at(), or(line.hours(), Duration.ZERO)))
                    .withQuantity(event -> event.stood().toSeconds() / 3600.0),
            keeping(
                            EntryKind.CELL_REPLACED,
                            BatteryEvent.CellReplaced.class,
                            LedgerPayload.Mark.class,
                            event -> new LedgerPayload.Mark(event.serial(), null),
                            (line, kept) -> line.cell() == null
                                    ? null
                                    : new BatteryEvent.CellReplaced(line.at(), line.cell(), kept.serial()))
                    .ofCell(BatteryEvent.CellReplaced::cell),
            keeping(
                            EntryKind.CELL_MARKED,
                            BatteryEvent.CellMarked.class,
                            LedgerPayload.Mark.class,
                            event -> new LedgerPayload.Mark(event.serial(), event.dateCode()),
                            (line, kept) -> line.cell() == null
                                    ? null
                                    : new BatteryEvent.CellMarked(
                                            line.at(), line.cell(), kept.serial(), kept.dateCode()))
                    .ofCell(BatteryEvent.CellMarked::cell),
            keeping(
                            EntryKind.CELL_BRIDGED,
                            BatteryEvent.CellBridged.class,
                            LedgerPayload.Bridge.class,
                            event -> new LedgerPayload.Bridge(event.until()),
                            (line, kept) -> line.cell() == null || kept.until() == null
                                    ? null
                                    : new BatteryEvent.CellBridged(line.at(), line.cell(), kept.until()))
                    .ofCell(BatteryEvent.CellBridged::cell),
            keeping(
                    EntryKind.BLOCKS_MOVED,
                    BatteryEvent.BlocksMoved.class,
                    LedgerPayload.Blocks.class,
                    event -> new LedgerPayload.Blocks(event.from()),
                    (line, kept) -> new BatteryEvent.BlocksMoved(line.at(), or(kept.from(), List.of()))),
            keeping(
                            EntryKind.KIT_FITTED,
                            BatteryEvent.KitFitted.class,
                            LedgerPayload.Kit.class,
                            event -> new LedgerPayload.Kit(event.injector()),
                            (line, kept) -> new BatteryEvent.KitFitted(line.at(), or(kept.injector(), ""), line.cell()))
                    .ofCell(BatteryEvent.KitFitted::probe),
            plain(EntryKind.KIT_LOOKED_AT, BatteryEvent.KitLookedAt.class, BatteryEvent.KitLookedAt::new),
            plain(EntryKind.KIT_TAKEN_OFF, BatteryEvent.KitTakenOff.class, BatteryEvent.KitTakenOff::new),
            figures(
                            EntryKind.TEMPERATURE_MAX,
                            BatteryEvent.HottestOfCharge.class,
                            line -> line.celsius() == null
                                    ? null
                                    : new BatteryEvent.HottestOfCharge(line.at(), line.celsius()))
                    .withQuantity(event -> event.celsius().degrees()),
            figures(
                            EntryKind.TEMPERATURE,
                            BatteryEvent.TemperatureRead.class,
                            line -> line.celsius() == null
                                    ? null
                                    : new BatteryEvent.TemperatureRead(line.at(), line.celsius()))
                    .withQuantity(event -> event.celsius().degrees()),
            figures(
                            EntryKind.DREW_OFF,
                            BatteryEvent.DrewOff.class,
                            line -> new BatteryEvent.DrewOff(line.at(), line.millilitres(), line.cell()))
                    .ofCell(BatteryEvent.DrewOff::cell)
                    .withQuantity(event -> event.drawn() == null
                            ? null
                            : (Number) event.drawn().millilitres()),
            figures(
                            EntryKind.LEVEL,
                            BatteryEvent.LevelRead.class,
                            line -> line.cell() == null || line.quantity() == null
                                    ? null
                                    : new BatteryEvent.LevelRead(line.at(), line.cell(), line.figure()))
                    .ofCell(BatteryEvent.LevelRead::cell)
                    .withQuantity(BatteryEvent.LevelRead::millimetres),
            figures(
                            EntryKind.ACID_ADJUSTED,
                            BatteryEvent.AcidAdjusted.class,
                            line -> new BatteryEvent.AcidAdjusted(line.at(), line.cell()))
                    .ofCell(BatteryEvent.AcidAdjusted::cell),
            plain(EntryKind.CHARGER_CHECKED, BatteryEvent.ChargerChecked.class, BatteryEvent.ChargerChecked::new),
            keeping(
                    EntryKind.HELD,
                    BatteryEvent.Held.class,
                    LedgerPayload.Remark.class,
                    event -> LedgerPayload.Remark.of(event.reason()),
                    (line, kept) -> new BatteryEvent.Held(line.at(), or(kept.remark(), ""))),
            plain(EntryKind.RELEASED, BatteryEvent.Released.class, BatteryEvent.Released::new),
            plain(EntryKind.COMMISSIONED, BatteryEvent.Commissioned.class, BatteryEvent.Commissioned::new),
            plain(EntryKind.STORED, BatteryEvent.PutInStore.class, BatteryEvent.PutInStore::new),
            plain(EntryKind.RETIRED, BatteryEvent.Retired.class, BatteryEvent.Retired::new),
            keeping(
                            EntryKind.CAPACITY,
                            BatteryEvent.CapacityTested.class,
                            LedgerPayload.Capacity.class,
                            event -> new LedgerPayload.Capacity(event.part()),
                            (line, kept) -> new BatteryEvent.CapacityTested(
                                    line.at(), AmpHours.of(line.figure()), or(kept.part(), 0.0)))
                    .withQuantity(event -> event.taken().ampHours()),
            keeping(
                    EntryKind.SIGNED,
                    BatteryEvent.Signed.class,
                    LedgerPayload.Seal.class,
                    event -> new LedgerPayload.Seal(event.seal()),
                    (line, kept) -> new BatteryEvent.Signed(line.at(), or(kept.seal(), ""))),
            keeping(
                    EntryKind.VOLTAGE,
                    BatteryEvent.RestVoltageRead.class,
                    LedgerPayload.RestVoltage.class,
                    event -> new LedgerPayload.RestVoltage(event.perCell()),
                    (line, kept) -> kept.perCell() == null
                            ? null
                            : new BatteryEvent.RestVoltageRead(line.at(), kept.perCell())));

    private static final Map<EntryKind, EventLine<?, ?>> BY_KIND = new EnumMap<>(EntryKind.class);
    private static final Map<Class<?>, EventLine<?, ?>> BY_EVENT = new HashMap<>();

    static {
        ALL.forEach(line -> {
            BY_KIND.put(line.kind(), line);
            BY_EVENT.put(line.event(), line);
        });
    }

    private EventLines() {}

    /** @return null for a kind of line that changes nothing that is known of the battery */
    static @Nullable EventLine<?, ?> of(EntryKind kind) {
        return BY_KIND.get(kind);
    }

    /** @return null for an event that has a table of its own */
    static @Nullable EventLine<?, ?> of(BatteryEvent event) {
        return BY_EVENT.get(event.getClass());
    }

    /** Kinds whose lines change what is known of a battery. */
    static Set<EntryKind> kinds() {
        return BY_KIND.keySet();
    }

    private static LedgerPayload.ChargeEnd ended(ChargeEnded event) {
        return new LedgerPayload.ChargeEnd(
                event.ending() == Ending.UNSTATED ? null : event.ending(),
                event.signs().isEmpty() ? null : event.signs().stream().sorted().toList());
    }

    private static @Nullable Number ampHours(@Nullable AmpHours amount) {
        return amount == null ? null : (Number) amount.ampHours();
    }

    private static <T> T or(@Nullable T kept, T usual) {
        return Objects.requireNonNullElse(kept, usual);
    }
}
