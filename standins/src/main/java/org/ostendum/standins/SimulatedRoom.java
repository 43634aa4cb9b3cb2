package org.ostendum.standins;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.CartStatus;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.HandOrder;
import org.ostendum.core.device.LoadBankOrder;
import org.ostendum.core.device.LoadBankStatus;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.sim.RoomBattery;
import org.ostendum.sim.SimulatedCharger;
import org.ostendum.sim.SimulatedLoadBank;

/** The chargers, the batteries that were ever plugged into them, the air and the water cart. Safe for several threads. */
final class SimulatedRoom {
    private static final Duration STEP = Duration.ofMinutes(1);

    private final List<SimulatedCharger> chargers;
    private final Map<Long, RoomBattery> batteries = new HashMap<>();
    private final RoomAir air;
    private final WaterCart cart = new WaterCart();
    private final SimulatedLoadBank loadBank = new SimulatedLoadBank();
    private boolean loadBankSilent;
    private double seconds;

    /** @param standing batteries by tag that are there from the start */
    SimulatedRoom(List<SimulatedCharger> chargers, Map<Long, RoomBattery> standing, RoomAir air) {
        this.chargers = List.copyOf(chargers);
        this.batteries.putAll(standing);
        this.air = air;
    }

    synchronized void pass(Duration time) {
        Duration left = time;
        while (!left.isZero()) {
            Duration step = left.compareTo(STEP) < 0 ? left : STEP;
            step(step);
            left = left.minus(step);
        }
    }

    private void step(Duration step) {
        seconds += step.toMillis() / 1000.0;
        double gassed = 0;
        for (SimulatedCharger charger : chargers) {
            charger.pass(step);
        }
        for (Map.Entry<Long, RoomBattery> battery : batteries.entrySet()) {
            if (!isPlugged(battery.getValue())) {
                battery.getValue().pass(0, step);
            }
            gassed += battery.getValue().gassed();
        }
        loadBank.pass(step);
        air.pass(gassed, step);
        cart.pass(step);
    }

    private boolean isPlugged(RoomBattery battery) {
        return battery == loadBank.battery() || chargers.stream().anyMatch(c -> c.battery() == battery);
    }

    /** @return whether it could be done */
    synchronized boolean obey(HandOrder order) {
        switch (order.act()) {
            case PLUG -> plug(order);
            case CLAMP -> clamp(order);
            case UNPLUG -> charger(order.place()).ifPresent(SimulatedCharger::unplug);
            case POUR -> pour(order);
            case FAN_ON -> air.switchFan(true);
            case FAN_OFF -> air.switchFan(false);
            case MEASURE -> {}
        }
        return order.act() != HandOrder.Act.PLUG || order.place() < chargers.size();
    }

    synchronized Optional<SimulatedCharger> charger(int place) {
        return place >= 0 && place < chargers.size() ? Optional.of(chargers.get(place)) : Optional.empty();
    }

    private void plug(HandOrder order) {
        charger(order.place()).ifPresent(charger -> {
            RoomBattery battery = batteries.computeIfAbsent(order.tag(), tag -> battery(order));
            if (loadBank.battery() == battery) {
                loadBank.letGo();
            }
            battery.take(order.missing() / 1000.0);
            chargers.stream().filter(c -> c.battery() == battery).forEach(SimulatedCharger::unplug);
            if (order.amperes() > 0) {
                charger.plug(battery, order.amperes() / 10.0, Duration.ofMinutes(order.minutes()));
            } else {
                charger.plug(battery);
                for (int minute = 0; minute < order.minutes(); minute++) {
                    charger.pass(STEP);
                }
                battery.gassed();
            }
        });
    }

    /** A battery that hangs on a charger is taken off it first. */
    private void clamp(HandOrder order) {
        RoomBattery battery = batteries.computeIfAbsent(order.tag(), tag -> battery(order));
        chargers.stream().filter(c -> c.battery() == battery).forEach(SimulatedCharger::unplug);
        loadBank.clamp(battery);
    }

    synchronized boolean obey(LoadBankOrder order) {
        return !loadBankSilent && loadBank.obey(order);
    }

    /** @return empty while it says nothing, though it may well go on drawing */
    synchronized Optional<LoadBankStatus> loadBankStatus() {
        return loadBankSilent ? Optional.empty() : Optional.of(loadBank.status());
    }

    synchronized void silenceLoadBank(boolean silent) {
        loadBankSilent = silent;
    }

    static RoomBattery battery(HandOrder order) {
        BatteryModel model = new BatteryModel(
                "of an order",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(1, order.cells()),
                AmpHours.of(order.capacity() / 10.0),
                6,
                marks(order));
        return RoomBattery.of(model, 0, order.tag());
    }

    private static GravityMarks marks(HandOrder order) {
        int empty = order.emptyPoints();
        int full = order.fullPoints();
        return GravityMarks.ofPoints(empty, (empty + full) / 2, full, full);
    }

    private void pour(HandOrder order) {
        RoomBattery battery = batteries.get(order.tag());
        int cells = battery == null ? 1 : battery.cells();
        cart.pour((double) order.millilitres() * cells);
        if (battery != null) {
            battery.pour(order.millilitres());
        }
    }

    synchronized Optional<ChargerStatus> chargerStatus(int place) {
        return charger(place).map(SimulatedCharger::status);
    }

    synchronized Optional<TagStatus> tagStatus(long number) {
        RoomBattery battery = batteries.get(number);
        return battery == null ? Optional.empty() : Optional.of(tag(number, battery));
    }

    synchronized Optional<RoomBattery> battery(long tag) {
        return Optional.ofNullable(batteries.get(tag));
    }

    private TagStatus tag(long number, RoomBattery battery) {
        @Nullable
        ChargerStatus at = chargers.stream()
                .filter(c -> c.battery() == battery)
                .findFirst()
                .map(SimulatedCharger::status)
                .orElse(null);
        double amps = at == null ? 0 : at.amperes().amperes();
        return new TagStatus(beat(), number, battery.volts(amps), amps, battery.celsius(), battery.isLevelLow());
    }

    synchronized AirStatus airStatus() {
        return air.status(beat());
    }

    synchronized CartStatus cartStatus() {
        return cart.status(beat());
    }

    private int beat() {
        return (int) ((long) seconds & 0xFFFF);
    }
}
