package org.ostendum.sim;

import java.time.Duration;
import java.util.Collections;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.ChargerStatus.State;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;

/**
 * A charger at work on a simulated battery, a moment at a time. Each kind has its own course of current and its own end;
 * a planted defect spoils it. Courses are rules of thumb fitted to the shape of usual charge curves.
 */
public final class SimulatedCharger {
    /** Ah at which the counter stands still: one that is stuck in its finish for weeks gets there. */
    private static final double COUNTER_END = 10_000;

    /** Part of the mains’ energy that reaches the battery (rule of thumb). */
    private static final double EFFICIENCY = 0.88;
    /** Part of the capacity missing from which the current falls. */
    private static final double TAPER_FROM = 0.2;
    /** Part missing at which one that stops early stops. */
    private static final double EARLY = 0.25;

    private static final double KEEPING = 0.005;
    private static final double TIMER_HOURS = 8;
    private static final double LONGEST_HOURS = 24;
    /** A transformer alone: full current at so few volts a cell, none at so many. */
    private static final double FERRO_FULL = 2.20;

    private static final double FERRO_NONE = 2.90;

    private final ChargerSheet sheet;
    private Defect defect = Defect.NONE;
    private @Nullable RoomBattery battery;
    private State state = State.EMPTY;
    private Trouble trouble = Trouble.NONE;
    private double amps;
    private double ampHours;
    private double wanted;
    private double wattHours;
    private double seconds;
    private double beat;
    private int starts;
    private double limitAmps;
    private Duration limit = Duration.ZERO;

    /** What may be wrong with a charger. */
    public enum Defect {
        NONE,
        WILL_NOT_START,
        STOPS_EARLY,
        STICKS_IN_FINISH,
        /** Set for more cells than its plate says. */
        WRONG_VOLTAGE
    }

    public SimulatedCharger(ChargerSheet sheet) {
        this.sheet = sheet;
    }

    public ChargerSheet sheet() {
        return sheet;
    }

    public void plant(Defect planted) {
        defect = planted;
    }

    public @Nullable RoomBattery battery() {
        return battery;
    }

    /** Plugs a battery in and switches on. */
    public void plug(RoomBattery plugged) {
        plug(plugged, 0, Duration.ZERO);
    }

    /**
     * @param amperes a low current instead of the charger's own course; 0 for its own
     * @param lasts how long that low current flows
     */
    public void plug(RoomBattery plugged, double amperes, Duration lasts) {
        battery = plugged;
        limitAmps = amperes;
        limit = lasts;
        ampHours = 0;
        seconds = 0;
        amps = 0;
        wanted = plugged.lacking() * returns();
        trouble = troubleWith(plugged);
        state = trouble == Trouble.NONE ? State.WAITING : State.TROUBLE;
    }

    public void unplug() {
        battery = null;
        state = State.EMPTY;
        trouble = Trouble.NONE;
        amps = 0;
    }

    private Trouble troubleWith(RoomBattery plugged) {
        int least = Collections.min(sheet.cells());
        int most = sheet.mostCells();
        if (defect == Defect.WILL_NOT_START) {
            return Trouble.NO_OUTPUT;
        }
        if (plugged.volts(0).volts() < sheet.sensesFrom().volts() * least) {
            return Trouble.LOCKOUT;
        }
        return plugged.cells() > most ? Trouble.WRONG_VOLTAGE : Trouble.NONE;
    }

    private double returns() {
        return switch (sheet.kind()) {
            case AVIATION -> 1.2;
            case FERRO_TAPER -> 1.15;
            default -> 1.12;
        };
    }

    /** @param time a minute or less, or the course becomes coarse */
    public void pass(Duration time) {
        double hours = time.toMillis() / 3_600_000.0;
        beat += hours * 3600;
        RoomBattery plugged = battery;
        if (plugged == null) {
            return;
        }
        begin();
        amps = state.isCharging() ? course(plugged) : state == State.KEEPING ? KEEPING * plugged.capacity() : 0;
        plugged.pass(amps, time);
        wattHours += amps * plugged.volts(amps).volts() * hours / EFFICIENCY;
        if (state.isCharging()) {
            ampHours += amps * hours;
            seconds += hours * 3600;
            state = isDone(plugged) ? ended() : phase(plugged);
        }
    }

    private void begin() {
        if (state == State.WAITING) {
            state = State.BULK;
            starts++;
        }
    }

    private State ended() {
        amps = 0;
        return sheet.kind() == ChargerKind.MAINTAINING ? State.KEEPING : State.DONE;
    }

    private State phase(RoomBattery plugged) {
        if (limitAmps > 0) {
            return State.EQUALISING;
        }
        if (amps <= ChargeSums.finishesFrom(AmpHours.of(plugged.capacity())).amperes() && isNearlyFull(plugged)) {
            return State.FINISH;
        }
        return amps < 0.97 * sheet.amperes().amperes() ? State.ABSORPTION : State.BULK;
    }

    private static boolean isNearlyFull(RoomBattery plugged) {
        return plugged.lacking() < TAPER_FROM * plugged.capacity();
    }

    private double course(RoomBattery plugged) {
        if (limitAmps > 0) {
            return limitAmps;
        }
        double rated = sheet.amperes().amperes();
        double finish = Math.min(
                rated, ChargeSums.finish(AmpHours.of(plugged.capacity())).amperes());
        if (isTooStrong(plugged)) {
            return rated;
        }
        return switch (sheet.kind()) {
            case CONSTANT_CURRENT, AVIATION -> rated;
            case FERRO_TAPER -> Math.max(finish * 0.8, rated * ferro(plugged));
            default -> Math.max(finish, rated * Math.min(1, plugged.lacking() / plugged.capacity() / TAPER_FROM));
        };
    }

    /** More volts than the battery's: its current never falls. */
    private boolean isTooStrong(RoomBattery plugged) {
        return defect == Defect.WRONG_VOLTAGE || !sheet.cells().contains(plugged.cells());
    }

    private double ferro(RoomBattery plugged) {
        double perCell = plugged.volts(Math.max(amps, 0.1)).volts() / plugged.cells();
        return Math.max(0, Math.min(1, (FERRO_NONE - perCell) / (FERRO_NONE - FERRO_FULL)));
    }

    private boolean isDone(RoomBattery plugged) {
        double hours = seconds / 3600;
        if (limitAmps > 0) {
            return seconds >= limit.toSeconds();
        }
        if (defect == Defect.STICKS_IN_FINISH || isTooStrong(plugged)) {
            return false;
        }
        if (defect == Defect.STOPS_EARLY && plugged.lacking() < EARLY * plugged.capacity()) {
            return true;
        }
        return switch (sheet.kind()) {
            case CONSTANT_CURRENT -> hours >= LONGEST_HOURS;
            case TIMER -> hours >= TIMER_HOURS;
            default -> ampHours >= wanted;
        };
    }

    public ChargerStatus status() {
        RoomBattery plugged = battery;
        return new ChargerStatus(
                (int) ((long) beat & 0xFFFF),
                state,
                trouble,
                plugged == null ? new Volts(0) : plugged.volts(amps),
                new Amperes(Math.round(amps * 10) / 10.0),
                AmpHours.of(Math.min(COUNTER_END, ampHours)),
                Math.round(wattHours),
                starts,
                Duration.ofSeconds((long) seconds));
    }
}
