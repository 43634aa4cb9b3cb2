package org.ostendum.core.state;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.DrewOff;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.TemperatureRead;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;

/**
 * Whether a figure can be: against the battery's capacity, what it holds, and what electrolyte bears. What cannot be is refused;
 * what is odd is asked for again, and kept when it is really meant. Limits are rules of thumb.
 */
public final class Plausible {
    /** No battery gives more than that part of its rated capacity, at any rate. */
    private static final double MOST_OUT = 1.5;
    /** A little more than what is in it by the book may be an error of the book. */
    private static final double BOOK_ERROR = 1.25;

    private static final double MOST_IN = 2.5;
    private static final double ODD_IN = 1.5;
    private static final double COLDEST = -40;
    private static final double HOTTEST = 90;
    private static final double ODD_COLD = -15;
    private static final double ODD_HOT = 60;
    private static final double MOST_HOURS = 120;
    private static final double ODD_HOURS = 24;
    /** So many times what lies between mark and plates in all cells. */
    private static final double MOST_WATER = 4;

    private static final double ODD_WATER = 1.2;

    private Plausible() {}

    /**
     * What stands against a figure.
     *
     * @param field {@code quantity} or {@code cell}
     * @param canBeMeant whether it is kept when the person says that it is really so
     */
    public record Objection(String field, Message sentence, boolean canBeMeant) {}

    /** @param before the battery's state just before the event */
    public static Optional<Objection> objection(BatteryEvent event, BatteryState before) {
        double capacity = before.model().capacity().ampHours();
        if (event instanceof Worked worked) {
            return out(worked.taken(), before, capacity);
        } else if (event instanceof ChargeEnded ended) {
            return in(ended.returned(), capacity);
        } else if (event instanceof TemperatureRead read) {
            return warmth(read.celsius());
        } else if (event instanceof HottestOfCharge hottest) {
            return warmth(hottest.celsius());
        } else if (event instanceof Equalised equalised) {
            return range("hours", equalised.hours(), ODD_HOURS, MOST_HOURS);
        } else if (event instanceof Watered water) {
            return volume(water.poured(), water.cell() == null ? before.cells().atWork() : 1, before);
        } else if (event instanceof DrewOff drew) {
            return volume(drew.drawn(), drew.cell() == null ? before.cells().atWork() : 1, before);
        }
        return Optional.empty();
    }

    private static Optional<Objection> out(@Nullable AmpHours taken, BatteryState before, double capacity) {
        if (taken == null) {
            return Optional.empty();
        }
        double most = MOST_OUT * capacity;
        double held = Math.min(1, before.charge().high()) * capacity * BOOK_ERROR;
        return range("ampHours", taken.ampHours(), Math.max(held, 0.1 * capacity), most);
    }

    private static Optional<Objection> in(@Nullable AmpHours returned, double capacity) {
        return returned == null
                ? Optional.empty()
                : range("ampHours", returned.ampHours(), ODD_IN * capacity, MOST_IN * capacity);
    }

    private static Optional<Objection> volume(@Nullable Millilitres volume, int cells, BatteryState before) {
        if (volume == null) {
            return Optional.empty();
        }
        double whole = before.model()
                        .levels()
                        .millilitresPerMm(before.model().capacity().ampHours())
                * before.model().levels().markMm()
                * cells;
        return range("millilitres", volume.millilitres(), ODD_WATER * whole, MOST_WATER * whole);
    }

    private static Optional<Objection> warmth(Celsius celsius) {
        double degrees = celsius.degrees();
        if (degrees < COLDEST || degrees > HOTTEST) {
            return Optional.of(new Objection(
                    "quantity",
                    Message.of("plausible.celsius.cannot", celsius, Celsius.of(COLDEST), Celsius.of(HOTTEST)),
                    false));
        }
        return degrees < ODD_COLD || degrees > ODD_HOT
                ? Optional.of(new Objection("quantity", Message.of("plausible.celsius.odd", celsius), true))
                : Optional.empty();
    }

    private static Optional<Objection> range(String what, double value, double odd, double most) {
        int shown = (int) Math.round(value);
        if (value > most) {
            return Optional.of(new Objection(
                    "quantity", Message.of("plausible." + what + ".cannot", shown, (int) Math.round(most)), false));
        }
        return value > odd
                ? Optional.of(new Objection(
                        "quantity", Message.of("plausible." + what + ".odd", shown, (int) Math.round(odd)), true))
                : Optional.empty();
    }
}
