package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.Volts;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Lines of the ledger as the events they tell, and back. Rounds and defects have tables of their own. */
public final class LedgerEvents {
    /** Kinds whose lines change what is known of a battery. */
    static final Set<EntryKind> TELLING = EnumSet.complementOf(EnumSet.of(
            EntryKind.ROUND,
            EntryKind.CORRECTION,
            EntryKind.NOTE,
            EntryKind.JOB,
            EntryKind.DEFECT,
            EntryKind.DEFECT_RIGHTED));

    private LedgerEvents() {}

    /**
     * What a line tells beside its kind, time, cell and figure.
     *
     * @param payload JSON
     */
    public record Line(
            EntryKind kind, Instant at, @Nullable Integer cell, @Nullable BigDecimal quantity, String payload) {}

    /** @return empty for a line that changes nothing that is known of the battery */
    public static Optional<BatteryEvent> event(NewEntry entry) {
        return event(new Line(entry.kind(), entry.happenedAt(), entry.cell(), entry.quantity(), entry.payload()));
    }

    /** @return empty for a line that changes nothing that is known of the battery */
    public static Optional<BatteryEvent> event(Line line) {
        return TELLING.contains(line.kind()) ? Optional.ofNullable(told(line)) : Optional.empty();
    }

    private static @Nullable BatteryEvent told(Line line) {
        Instant at = line.at();
        JsonNode more = line.payload().length() <= 2 ? Payload.object() : Payload.read(line.payload());
        return switch (line.kind()) {
            case ADDED -> new BatteryEvent.Arrived(at, more.path("dry").asBoolean());
            case MOVED -> new BatteryEvent.Moved(at, text(more, "slot"), text(more, "machine"));
            case CHARGE_START ->
                new ChargeStarted(
                        at,
                        ChargeKind.valueOf(more.path("charge").asString(ChargeKind.CONVENTIONAL.name())),
                        text(more, "charger"));
            case CHARGE_END -> chargeEnd(line, more);
            case DISCHARGE -> new BatteryEvent.Worked(at, ampHours(line));
            case WATER -> new Watered(at, millilitres(line), line.cell(), fill(more));
            case EQUALISE_END -> new Equalised(at, hours(line));
            case WASH -> new BatteryEvent.Washed(at);
            case STANDING_FLAT ->
                new BatteryEvent.StoodFlat(at, Objects.requireNonNullElse(hours(line), Duration.ZERO));
            case CELL_REPLACED ->
                line.cell() == null ? null : new BatteryEvent.CellReplaced(at, line.cell(), text(more, "serial"));
            case CELL_MARKED ->
                line.cell() == null
                        ? null
                        : new BatteryEvent.CellMarked(at, line.cell(), text(more, "serial"), text(more, "dateCode"));
            case CELL_BRIDGED ->
                line.cell() == null
                        ? null
                        : new BatteryEvent.CellBridged(
                                at,
                                line.cell(),
                                Instant.parse(more.path("until").asString()));
            case BLOCKS_MOVED -> new BatteryEvent.BlocksMoved(at, places(more));
            case KIT_FITTED ->
                new BatteryEvent.KitFitted(at, more.path("injector").asString(""), line.cell());
            case KIT_LOOKED_AT -> new BatteryEvent.KitLookedAt(at);
            case KIT_TAKEN_OFF -> new BatteryEvent.KitTakenOff(at);
            case TEMPERATURE_MAX ->
                line.quantity() == null ? null : new BatteryEvent.HottestOfCharge(at, celsius(line.quantity()));
            case TEMPERATURE ->
                line.quantity() == null ? null : new BatteryEvent.TemperatureRead(at, celsius(line.quantity()));
            case DREW_OFF -> new BatteryEvent.DrewOff(at, millilitres(line), line.cell());
            case LEVEL ->
                line.cell() == null || line.quantity() == null
                        ? null
                        : new BatteryEvent.LevelRead(
                                at, line.cell(), line.quantity().doubleValue());
            case ACID_ADJUSTED -> new BatteryEvent.AcidAdjusted(at, line.cell());
            case CHARGER_CHECKED -> new BatteryEvent.ChargerChecked(at);
            case HELD -> new BatteryEvent.Held(at, more.path("remark").asString(""));
            case RELEASED -> new BatteryEvent.Released(at);
            case COMMISSIONED -> new BatteryEvent.Commissioned(at);
            case STORED -> new BatteryEvent.PutInStore(at);
            case RETIRED -> new BatteryEvent.Retired(at);
            case CAPACITY ->
                new BatteryEvent.CapacityTested(
                        at,
                        AmpHours.of(
                                line.quantity() == null ? 0 : line.quantity().doubleValue()),
                        more.path("part").asDouble(0));
            case SIGNED -> new BatteryEvent.Signed(at, more.path("seal").asString(""));
            case VOLTAGE -> restVoltage(at, more);
            case ROUND, CORRECTION, NOTE, JOB, DEFECT, DEFECT_RIGHTED -> null;
        };
    }

    private static ChargeEnded chargeEnd(Line line, JsonNode more) {
        Set<FullSign> signs = EnumSet.noneOf(FullSign.class);
        more.path("evidence").forEach(sign -> FullSign.ofWord(sign.asString()).ifPresent(signs::add));
        Ending ending = Ending.ofWord(more.path("how").asString("")).orElse(Ending.UNSTATED);
        return new ChargeEnded(line.at(), ending, signs, ampHours(line));
    }

    /**
     * @param remark of the person, empty for none
     * @return the line that tells an event
     * @throws IllegalArgumentException for one that has a table of its own: rounds, defects, voltages
     */
    public static NewEntry entry(BatteryEvent event, long personId, String remark) {
        ObjectNode payload = Payload.object();
        @Nullable Integer cell = null;
        @Nullable Number quantity = null;
        EntryKind kind;
        if (event instanceof ChargeStarted started) {
            kind = EntryKind.CHARGE_START;
            payload.put("charge", started.kind().name());
            put(payload, "charger", started.charger());
        } else if (event instanceof ChargeEnded ended) {
            kind = EntryKind.CHARGE_END;
            payload = ended(ended.ending(), ended.signs());
            quantity =
                    ended.returned() == null ? null : (Number) ended.returned().ampHours();
        } else if (event instanceof BatteryEvent.Worked worked) {
            kind = EntryKind.DISCHARGE;
            quantity = worked.taken() == null ? null : (Number) worked.taken().ampHours();
        } else if (event instanceof Watered water) {
            kind = EntryKind.WATER;
            payload = water.fill() == Fill.UNSTATED ? payload : filled(water.fill());
            cell = water.cell();
            quantity = water.poured() == null ? null : (Number) water.millilitres();
        } else if (event instanceof Equalised equalised) {
            kind = EntryKind.EQUALISE_END;
            quantity = equalised.lasted() == null ? null : (Number) equalised.hours();
        } else if (event instanceof BatteryEvent.Washed) {
            kind = EntryKind.WASH;
        } else if (event instanceof BatteryEvent.StoodFlat flat) {
            kind = EntryKind.STANDING_FLAT;
            quantity = flat.stood().toSeconds() / 3600.0;
        } else if (event instanceof BatteryEvent.CellReplaced replaced) {
            kind = EntryKind.CELL_REPLACED;
            cell = replaced.cell();
            put(payload, "serial", replaced.serial());
        } else if (event instanceof BatteryEvent.CellMarked marked) {
            kind = EntryKind.CELL_MARKED;
            cell = marked.cell();
            put(payload, "serial", marked.serial());
            put(payload, "dateCode", marked.dateCode());
        } else if (event instanceof BatteryEvent.CellBridged bridged) {
            kind = EntryKind.CELL_BRIDGED;
            cell = bridged.cell();
            payload.put("until", bridged.until().toString());
        } else if (event instanceof BatteryEvent.BlocksMoved moved) {
            kind = EntryKind.BLOCKS_MOVED;
            moved.from().forEach(payload.putArray("from")::add);
        } else if (event instanceof BatteryEvent.KitFitted kit) {
            kind = EntryKind.KIT_FITTED;
            cell = kit.probe();
            payload.put("injector", kit.injector());
        } else if (event instanceof BatteryEvent.HottestOfCharge hottest) {
            kind = EntryKind.TEMPERATURE_MAX;
            quantity = hottest.celsius().degrees();
        } else if (event instanceof BatteryEvent.TemperatureRead read) {
            kind = EntryKind.TEMPERATURE;
            quantity = read.celsius().degrees();
        } else if (event instanceof BatteryEvent.DrewOff drew) {
            kind = EntryKind.DREW_OFF;
            cell = drew.cell();
            quantity = drew.drawn() == null ? null : (Number) drew.drawn().millilitres();
        } else if (event instanceof BatteryEvent.LevelRead level) {
            kind = EntryKind.LEVEL;
            cell = level.cell();
            quantity = level.millimetres();
        } else if (event instanceof BatteryEvent.AcidAdjusted adjusted) {
            kind = EntryKind.ACID_ADJUSTED;
            cell = adjusted.cell();
        } else if (event instanceof BatteryEvent.CapacityTested test) {
            kind = EntryKind.CAPACITY;
            quantity = test.taken().ampHours();
            payload.put("part", test.part());
        } else if (event instanceof BatteryEvent.Signed signed) {
            kind = EntryKind.SIGNED;
            payload.put("seal", signed.seal());
        } else if (event instanceof BatteryEvent.Arrived arrived) {
            kind = EntryKind.ADDED;
            payload.put("dry", arrived.dry());
        } else if (event instanceof BatteryEvent.Moved moved) {
            kind = EntryKind.MOVED;
            put(payload, "slot", moved.slot());
            put(payload, "machine", moved.machine());
        } else {
            kind = plainKind(event);
        }
        String told = event instanceof BatteryEvent.Held held ? held.reason() : remark;
        if (!told.isBlank()) {
            payload.put("remark", told);
        }
        return new NewEntry(
                kind,
                event.at(),
                personId,
                cell,
                quantity == null
                        ? null
                        : BigDecimal.valueOf(quantity.doubleValue()).setScale(2, RoundingMode.HALF_UP),
                null,
                payload.isEmpty() ? "{}" : payload.toString());
    }

    private static EntryKind plainKind(BatteryEvent event) {
        if (event instanceof BatteryEvent.ChargerChecked) {
            return EntryKind.CHARGER_CHECKED;
        } else if (event instanceof BatteryEvent.KitLookedAt) {
            return EntryKind.KIT_LOOKED_AT;
        } else if (event instanceof BatteryEvent.KitTakenOff) {
            return EntryKind.KIT_TAKEN_OFF;
        } else if (event instanceof BatteryEvent.Commissioned) {
            return EntryKind.COMMISSIONED;
        } else if (event instanceof BatteryEvent.Held) {
            return EntryKind.HELD;
        } else if (event instanceof BatteryEvent.Released) {
            return EntryKind.RELEASED;
        } else if (event instanceof BatteryEvent.PutInStore) {
            return EntryKind.STORED;
        } else if (event instanceof BatteryEvent.Retired) {
            return EntryKind.RETIRED;
        }
        throw new IllegalArgumentException("No line tells " + event.word());
    }

    private static void put(ObjectNode node, String name, @Nullable String text) {
        if (text != null) {
            node.put(name, text);
        }
    }

    /** What the end of a charge tells beside its figure. */
    public static ObjectNode ended(Ending ending, Set<FullSign> signs) {
        ObjectNode payload = Payload.object();
        if (ending != Ending.UNSTATED) {
            payload.put("how", ending.word());
        }
        if (!signs.isEmpty()) {
            var evidence = payload.putArray("evidence");
            signs.stream().sorted().forEach(sign -> evidence.add(sign.word()));
        }
        return payload;
    }

    /** How far a watering went, as the line keeps it. */
    public static ObjectNode filled(Fill fill) {
        return Payload.object().put("fill", fill.name().toLowerCase(Locale.ROOT));
    }

    private static Fill fill(JsonNode more) {
        String word = more.path("fill").asString("");
        return word.isEmpty() ? Fill.UNSTATED : Fill.valueOf(word.toUpperCase(Locale.ROOT));
    }

    private static List<Integer> places(JsonNode more) {
        List<Integer> places = new ArrayList<>();
        more.path("from").forEach(place -> places.add(place.asInt()));
        return places;
    }

    private static @Nullable BatteryEvent restVoltage(Instant at, JsonNode more) {
        return more.has("restMillivoltsPerCell")
                ? new BatteryEvent.RestVoltageRead(
                        at, new Volts(more.path("restMillivoltsPerCell").asInt()))
                : null;
    }

    private static @Nullable String text(JsonNode node, String name) {
        return node.has(name) ? node.path(name).asString() : null;
    }

    private static @Nullable AmpHours ampHours(Line line) {
        return line.quantity() == null || line.quantity().signum() == 0
                ? null
                : AmpHours.of(Math.min(AmpHours.MOST, line.quantity().doubleValue()));
    }

    private static @Nullable Millilitres millilitres(Line line) {
        return line.quantity() == null || line.quantity().signum() == 0
                ? null
                : Millilitres.of(Math.min(Millilitres.MOST, line.quantity().doubleValue()));
    }

    private static @Nullable Duration hours(Line line) {
        return line.quantity() == null
                ? null
                : Duration.ofSeconds(Math.round(line.quantity().doubleValue() * 3600));
    }

    private static Celsius celsius(BigDecimal degrees) {
        return Celsius.of(Math.max(Celsius.LEAST, Math.min(Celsius.MOST, degrees.doubleValue())));
    }
}
