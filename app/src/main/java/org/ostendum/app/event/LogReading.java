package org.ostendum.app.event;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.state.Plausible;
import org.springframework.stereotype.Component;

/** Reads what a person has typed of what was done: into an event that can be, or into faults beside the fields. */
@Component
public class LogReading {
    private static final BigDecimal LEAST = new BigDecimal(-200);
    private static final BigDecimal MOST = new BigDecimal(99_999);
    private static final int MOST_WORDS = 400;

    private final BatteryStates batteryStates;

    LogReading(BatteryStates batteryStates) {
        this.batteryStates = batteryStates;
    }

    /** @return the line to be written; empty where something stands against it, told in {@code faults} */
    public Optional<NewEntry> read(Battery battery, LogForm form, Person person, Words words, Faults.Finder faults) {
        EntryKind kind = form.kind();
        if (kind == null || !EntryKind.BY_HAND.contains(kind)) {
            faults.add("kind", "fault.choose");
            return Optional.empty();
        } else if (EntryKind.BY_LEAD.contains(kind) && !person.isLead()) {
            faults.add("kind", "log.fault.lead", words.name(kind));
        }
        @Nullable Instant at = when(form.when(), words, faults);
        @Nullable BigDecimal quantity = quantity(kind, form.quantity(), faults);
        @Nullable Integer cell = cell(kind, battery, form.cell(), faults);
        checkWords(kind, form, faults);
        if (faults.any() || at == null) {
            return Optional.empty();
        }
        if (kind == EntryKind.NOTE) {
            return Optional.of(NewEntry.of(kind, at, person.id(), null, form.remarkText()));
        }
        BatteryEvent event = event(kind, at, quantity, cell, form);
        check(event, battery, form, words, faults);
        return faults.any() ? Optional.empty() : Optional.of(LedgerEvents.entry(event, person.id(), form.remarkText()));
    }

    private static void checkWords(EntryKind kind, LogForm form, Faults.Finder faults) {
        String remark = form.remarkText();
        if ((kind == EntryKind.NOTE || kind == EntryKind.HELD) && remark.isEmpty()) {
            faults.add("remark", "log.fault.remark");
        } else if (remark.length() > MOST_WORDS) {
            faults.add("remark", "fault.length", remark.substring(0, 20) + "…", MOST_WORDS);
        }
    }

    /** What the state says against it: a figure that cannot be or is odd, water on a battery that is not full. */
    private void check(BatteryEvent event, Battery battery, LogForm form, Words words, Faults.Finder faults) {
        var state = batteryStates.stateOf(battery);
        Plausible.objection(event, state)
                .filter(objection -> !objection.canBeMeant() || !form.isMeant())
                .ifPresent(objection -> {
                    faults.say(objection.field(), words.say(objection.sentence()));
                    if (objection.canBeMeant()) {
                        faults.add("meant", "log.fault.meant");
                    }
                });
        boolean late = event.at().isBefore(words.now().minus(Duration.ofMinutes(1)));
        boolean overflows =
                event instanceof BatteryEvent.Watered && !late && !state.full().isYes();
        if (overflows && form.remarkText().isEmpty()) {
            faults.add("remark", "log.water-before-charge");
        }
    }

    private static BatteryEvent event(
            EntryKind kind, Instant at, @Nullable BigDecimal quantity, @Nullable Integer cell, LogForm form) {
        double number = quantity == null ? 0 : quantity.doubleValue();
        return switch (kind) {
            case CHARGE_START -> new BatteryEvent.ChargeStarted(at, ChargeKind.CONVENTIONAL, null);
            case CHARGE_END -> ended(at, ampHours(quantity), form.ending());
            case DISCHARGE -> new BatteryEvent.Worked(at, ampHours(quantity));
            case WATER -> new BatteryEvent.Watered(at, millilitres(quantity), cell, Fill.UNSTATED);
            case DREW_OFF -> new BatteryEvent.DrewOff(at, millilitres(quantity), cell);
            case LEVEL -> new BatteryEvent.LevelRead(at, cell == null ? 1 : cell, number);
            case TEMPERATURE -> new BatteryEvent.TemperatureRead(at, celsius(number));
            case TEMPERATURE_MAX -> new BatteryEvent.HottestOfCharge(at, celsius(number));
            case EQUALISE_END -> new BatteryEvent.Equalised(at, quantity == null ? null : hours(number));
            case STANDING_FLAT -> new BatteryEvent.StoodFlat(at, hours(number));
            case WASH -> new BatteryEvent.Washed(at);
            case CELL_REPLACED ->
                new BatteryEvent.CellReplaced(
                        at, cell == null ? 1 : cell, form.remarkText().isEmpty() ? null : form.remarkText());
            case ACID_ADJUSTED -> new BatteryEvent.AcidAdjusted(at, cell);
            case HELD -> new BatteryEvent.Held(at, form.remarkText());
            case RELEASED -> new BatteryEvent.Released(at);
            case STORED -> new BatteryEvent.PutInStore(at);
            case COMMISSIONED -> new BatteryEvent.Commissioned(at);
            case RETIRED -> new BatteryEvent.Retired(at);
            default -> throw new IllegalArgumentException(kind + " is not written by hand");
        };
    }

    /** The word names how it ended, or what speaks for full. */
    private static ChargeEnded ended(Instant at, @Nullable AmpHours returned, @Nullable String word) {
        String said = word == null ? "" : word;
        return Ending.ofWord(said)
                .map(ending -> new ChargeEnded(at, ending, Set.of(), returned))
                .orElseGet(() -> FullSign.ofWord(said)
                        .map(sign -> new ChargeEnded(at, Ending.FULL, Set.of(sign), returned))
                        .orElseGet(() -> ChargeEnded.unstated(at, returned)));
    }

    private static @Nullable AmpHours ampHours(@Nullable BigDecimal quantity) {
        return quantity == null ? null : AmpHours.of(Math.max(0, Math.min(AmpHours.MOST, quantity.doubleValue())));
    }

    private static @Nullable Millilitres millilitres(@Nullable BigDecimal quantity) {
        return quantity == null
                ? null
                : Millilitres.of(Math.max(0, Math.min(Millilitres.MOST, quantity.doubleValue())));
    }

    private static Celsius celsius(double degrees) {
        return Celsius.of(Math.max(Celsius.LEAST, Math.min(Celsius.MOST, degrees)));
    }

    private static Duration hours(double hours) {
        return Duration.ofSeconds(Math.round(Math.max(0, hours) * 3600));
    }

    private @Nullable Instant when(@Nullable String typed, Words words, Faults.Finder faults) {
        TypedInput.Read<Instant> read = TypedInput.past(typed, words);
        return read.value() == null && read.fault() == null ? words.now() : read.orTell("when", faults);
    }

    private static @Nullable Integer cell(
            EntryKind kind, Battery battery, @Nullable String typed, Faults.Finder faults) {
        int cells = battery.type().model().cells();
        if (typed == null || typed.isBlank()) {
            if (kind.needsCell()) {
                faults.add("cell", "log.fault.cell", "", cells);
            }
            return null;
        }
        String text = typed.strip();
        int cell = text.matches("\\d{1,3}") ? Integer.parseInt(text) : 0;
        if (cell < 1 || cell > cells) {
            faults.add("cell", "log.fault.cell", text, cells);
            return null;
        }
        return cell;
    }

    private static @Nullable BigDecimal quantity(EntryKind kind, @Nullable String typed, Faults.Finder faults) {
        if (typed == null || typed.isBlank()) {
            if (kind.needsQuantity()) {
                faults.add("quantity", "log.fault.needed");
            }
            return null;
        }
        String text = typed.strip().replace(',', '.');
        if (text.matches("-?\\d{1,6}(\\.\\d{1,6})?")) {
            BigDecimal quantity = new BigDecimal(text);
            boolean mayBeNegative = kind.needsQuantity();
            BigDecimal least = mayBeNegative ? LEAST : BigDecimal.ZERO;
            if (quantity.compareTo(least) >= 0 && quantity.compareTo(MOST) <= 0) {
                return quantity.setScale(2, RoundingMode.HALF_UP);
            }
        }
        faults.add("quantity", "log.fault.quantity", typed);
        return null;
    }
}
