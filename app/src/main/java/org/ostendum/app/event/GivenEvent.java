package org.ostendum.app.event;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;

/**
 * An event as a program or a file gives it.
 *
 * @param quantity in the unit of its type; null for none
 * @param cell null for the whole battery
 * @param note free words; the reason of a {@code held}, the serial of a {@code cell_replaced}
 * @param how a {@code charge_end} came about, empty where nobody has said
 * @param evidence words of what spoke for full
 * @param charger code of a {@code charge_start}'s, empty where nobody has said
 */
public record GivenEvent(
        EventType type,
        Instant at,
        @Nullable Double quantity,
        @Nullable Integer cell,
        String note,
        String how,
        List<String> evidence,
        String charger) {
    private static final double MOST_AMP_HOURS = AmpHours.MOST;
    private static final double MOST_HOURS = 2400;

    /** Something about it cannot be; it says what is allowed, in words. */
    public static final class Bad extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final String field;
        private final String expected;

        Bad(String field, String expected) {
            super(field + ": " + expected);
            this.field = field;
            this.expected = expected;
        }

        public String field() {
            return field;
        }

        public String expected() {
            return expected;
        }
    }

    /**
     * @return the event it tells; {@code defect}, {@code defect_righted} and {@code moved} are kept elsewhere
     * @throws Bad for what cannot be
     */
    public BatteryEvent event() {
        return switch (type) {
            case CHARGE_START ->
                new BatteryEvent.ChargeStarted(at, ChargeKind.CONVENTIONAL, charger.isEmpty() ? null : charger);
            case CHARGE_END -> new ChargeEnded(at, ending(), signs(), ampHours());
            case DISCHARGE -> new BatteryEvent.Worked(at, ampHours());
            case WATER -> new BatteryEvent.Watered(at, millilitres(), cell, Fill.UNSTATED);
            case EQUALISE_END -> new BatteryEvent.Equalised(at, hours());
            case CLEAN -> new BatteryEvent.Washed(at);
            case STANDING_FLAT -> new BatteryEvent.StoodFlat(at, quantity == null ? Duration.ZERO : needed(hours()));
            case CELL_REPLACED -> new BatteryEvent.CellReplaced(at, neededCell(), note.isEmpty() ? null : note);
            case TEMPERATURE_MAX -> new BatteryEvent.HottestOfCharge(at, celsius());
            case DREW_OFF -> new BatteryEvent.DrewOff(at, millilitres(), cell);
            case LEVEL -> new BatteryEvent.LevelRead(at, neededCell(), within(-200, 300));
            case TEMPERATURE -> new BatteryEvent.TemperatureRead(at, celsius());
            case HELD -> new BatteryEvent.Held(at, note);
            case RELEASED -> new BatteryEvent.Released(at);
            case DEFECT, DEFECT_RIGHTED, MOVED -> throw new Bad("type", "not " + type.word() + " here");
        };
    }

    private Ending ending() {
        if (how.isEmpty()) {
            return Ending.UNSTATED;
        }
        return Ending.ofWord(how).orElseThrow(() -> new Bad("how", "one of full, ended_early, stopped, broken_off"));
    }

    private Set<FullSign> signs() {
        Set<FullSign> signs = EnumSet.noneOf(FullSign.class);
        for (String word : evidence) {
            signs.add(FullSign.ofWord(word)
                    .orElseThrow(() -> new Bad(
                            "evidence", "of steady_voltage, equal_gravities, returned, lamp, gravity, equalised")));
        }
        return signs;
    }

    private double within(double least, double most) {
        if (quantity == null) {
            throw new Bad("quantity", "a number of " + type.unit());
        } else if (quantity < least || quantity > most) {
            throw new Bad("quantity", plain(least) + " to " + plain(most) + " " + type.unit());
        }
        return quantity;
    }

    private static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    private @Nullable AmpHours ampHours() {
        return quantity == null || quantity == 0 ? null : AmpHours.of(within(0, MOST_AMP_HOURS));
    }

    private @Nullable Millilitres millilitres() {
        return quantity == null || quantity == 0 ? null : Millilitres.of(within(0, Millilitres.MOST));
    }

    private @Nullable Duration hours() {
        return quantity == null ? null : Duration.ofSeconds(Math.round(within(0, MOST_HOURS) * 3600));
    }

    private static Duration needed(@Nullable Duration hours) {
        return hours == null ? Duration.ZERO : hours;
    }

    private Celsius celsius() {
        return Celsius.of(within(-40, 100));
    }

    private int neededCell() {
        if (cell == null) {
            throw new Bad("cell", "the number of a cell");
        }
        return cell;
    }

    /** @return an event in the words of the contract; null for one that has no word there */
    public static @Nullable GivenEvent of(BatteryEvent event) {
        Instant at = event.at();
        if (event instanceof BatteryEvent.ChargeStarted started) {
            String charger = started.charger() == null ? "" : started.charger();
            return new GivenEvent(EventType.CHARGE_START, at, null, null, "", "", List.of(), charger);
        } else if (event instanceof ChargeEnded ended) {
            return new GivenEvent(
                    EventType.CHARGE_END,
                    at,
                    ended.returned() == null ? null : (Double) ended.returned().ampHours(),
                    null,
                    "",
                    ended.ending() == Ending.UNSTATED ? "" : ended.ending().word(),
                    ended.signs().stream().sorted().map(FullSign::word).toList(),
                    "");
        } else if (event instanceof BatteryEvent.Worked worked) {
            return plain(
                    EventType.DISCHARGE,
                    at,
                    worked.taken() == null ? null : worked.taken().ampHours(),
                    null);
        } else if (event instanceof BatteryEvent.Watered water) {
            return plain(
                    EventType.WATER, at, water.poured() == null ? null : (double) water.millilitres(), water.cell());
        } else if (event instanceof BatteryEvent.Equalised equalised) {
            return plain(EventType.EQUALISE_END, at, equalised.lasted() == null ? null : equalised.hours(), null);
        } else if (event instanceof BatteryEvent.Washed) {
            return plain(EventType.CLEAN, at, null, null);
        } else if (event instanceof BatteryEvent.StoodFlat flat) {
            return plain(EventType.STANDING_FLAT, at, flat.stood().toSeconds() / 3600.0, null);
        } else if (event instanceof BatteryEvent.CellReplaced replaced) {
            return plain(EventType.CELL_REPLACED, at, null, replaced.cell());
        } else if (event instanceof BatteryEvent.HottestOfCharge hottest) {
            return plain(EventType.TEMPERATURE_MAX, at, hottest.celsius().degrees(), null);
        } else if (event instanceof BatteryEvent.DrewOff drew) {
            return plain(
                    EventType.DREW_OFF,
                    at,
                    drew.drawn() == null ? null : (double) drew.drawn().millilitres(),
                    drew.cell());
        } else if (event instanceof BatteryEvent.LevelRead level) {
            return plain(EventType.LEVEL, at, level.millimetres(), level.cell());
        } else if (event instanceof BatteryEvent.TemperatureRead read) {
            return plain(EventType.TEMPERATURE, at, read.celsius().degrees(), null);
        }
        return null;
    }

    private static GivenEvent plain(EventType type, Instant at, @Nullable Double quantity, @Nullable Integer cell) {
        return new GivenEvent(type, at, quantity, cell, "", "", List.of(), "");
    }
}
