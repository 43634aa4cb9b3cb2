package org.ostendum.sim;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.device.LoadBankOrder;
import org.ostendum.core.device.LoadBankStatus;
import org.ostendum.core.device.LoadBankStatus.State;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;

/** A load bank clamped to a simulated battery: draws a constant current, reads every lead, and takes the load off by itself. */
public final class SimulatedLoadBank {
    private static final Duration STEP = Duration.ofSeconds(20);

    private @Nullable RoomBattery battery;
    private @Nullable LoadBankOrder order;
    private State state = State.EMPTY;
    private double seconds;
    private double ampHours;
    private double beat;
    private int starts;

    /** Clamps it to a battery; one that draws from another lets go of it. */
    public void clamp(RoomBattery clamped) {
        battery = clamped;
        order = null;
        state = State.READY;
    }

    public void letGo() {
        battery = null;
        order = null;
        state = State.EMPTY;
    }

    public @Nullable RoomBattery battery() {
        return battery;
    }

    /** @return whether it could: nothing is drawn where no battery is clamped, or by leads that it has not */
    public boolean obey(LoadBankOrder given) {
        RoomBattery clamped = battery;
        if (given.act() == LoadBankOrder.Act.STOP) {
            state = state == State.DRAWING ? State.STOPPED : state;
            return true;
        }
        if (clamped == null || given.leads() < 1 || clamped.cells() % given.leads() != 0) {
            return false;
        }
        order = given;
        state = State.DRAWING;
        seconds = 0;
        ampHours = 0;
        starts++;
        return true;
    }

    private double amps() {
        LoadBankOrder drawn = order;
        return state == State.DRAWING && drawn != null ? drawn.amperes() : 0;
    }

    /** @param time of any length: it looks every twenty seconds */
    public void pass(Duration time) {
        Duration left = time;
        while (!left.isZero()) {
            Duration step = left.compareTo(STEP) < 0 ? left : STEP;
            step(step);
            left = left.minus(step);
        }
    }

    private void step(Duration step) {
        double passed = step.toMillis() / 1000.0;
        beat += passed;
        RoomBattery clamped = battery;
        if (clamped == null) {
            return;
        }
        double amps = amps();
        clamped.pass(-amps, step);
        if (amps > 0) {
            seconds += passed;
            ampHours += amps * passed / 3600;
            state = stateAfter(clamped, amps);
        }
    }

    private State stateAfter(RoomBattery clamped, double amps) {
        LoadBankOrder drawn = order;
        if (drawn == null) {
            return state;
        }
        List<Double> leads = leads(clamped, amps, drawn.leads());
        if (leads.stream().anyMatch(volts -> volts <= drawn.leadLimit())) {
            return State.ENDED_BY_CELL;
        }
        boolean done = leads.stream().mapToDouble(v -> v).sum() <= drawn.cutOff();
        return done ? State.ENDED : seconds >= drawn.mostMinutes() * 60.0 ? State.STOPPED : State.DRAWING;
    }

    private static List<Double> leads(RoomBattery battery, double amps, int leads) {
        List<Double> cells = battery.giving(amps);
        int each = cells.size() / leads;
        List<Double> volts = new ArrayList<>();
        for (int lead = 0; lead < leads; lead++) {
            volts.add(cells.subList(lead * each, (lead + 1) * each).stream()
                    .mapToDouble(v -> v)
                    .sum());
        }
        return volts;
    }

    public LoadBankStatus status() {
        RoomBattery clamped = battery;
        LoadBankOrder drawn = order;
        double amps = amps();
        List<Double> leads = clamped == null || drawn == null ? List.of() : leads(clamped, amps, drawn.leads());
        double volts = clamped == null
                ? 0
                : leads.isEmpty()
                        ? clamped.volts(0).volts()
                        : leads.stream().mapToDouble(v -> v).sum();
        return new LoadBankStatus(
                (int) ((long) beat & 0xFFFF),
                state,
                Volts.of(Math.max(0, Math.round(volts * 100) / 100.0)),
                new Amperes(amps),
                AmpHours.of(Math.round(ampHours * 10) / 10.0),
                Duration.ofSeconds((long) seconds),
                starts,
                leads.stream().map(v -> Math.round(v * 1000) / 1000.0).toList());
    }
}
