package org.ostendum.app.device;

import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.CurrentOff;
import org.ostendum.app.charge.CurrentOn;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.Written;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.device.Address;
import org.ostendum.core.device.HandOrder;
import org.ostendum.core.device.HandOrder.Act;
import org.ostendum.core.event.EntryKind;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Tells stand-ins what people have done with their hands: plugged in, unplugged, poured. At real equipment people do it
 * themselves, and nobody is told.
 */
@Component
public class StandInHands {
    private static final Logger LOG = LoggerFactory.getLogger(StandInHands.class);
    /** Of the capacity, where nobody knows what was taken out. */
    private static final double USUAL_DEPTH = 0.65;

    private static final double MOST_MISSING = 0.9;

    private final Devices devices;
    private final Wire wire;
    private final ExpectedCharges book;
    private final DeviceClock clock;
    private final boolean needed;

    StandInHands(
            Devices devices,
            Wire wire,
            ExpectedCharges book,
            DeviceClock clock,
            @Value("${ostendum.devices.hands}") boolean needed) {
        this.devices = devices;
        this.wire = wire;
        this.book = book;
        this.clock = clock;
        this.needed = needed;
    }

    /** @return whether the equipment is simulated */
    public boolean areNeeded() {
        return needed;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void plugIn(CurrentOn on) {
        plug(on.run());
    }

    @TransactionalEventListener(fallbackExecution = true)
    void unplug(CurrentOff off) {
        atCharger(off.chargerId())
                .ifPresent(device ->
                        send(device, HandOrder.of(Act.UNPLUG, device.address().block())));
    }

    /** What is poured at a battery flows through the cart's meter, the same into each cell. */
    @TransactionalEventListener(fallbackExecution = true)
    void pour(Written written) {
        Battery battery = written.battery();
        for (NewEntry entry : written.entries()) {
            if (entry.kind() == EntryKind.WATER && entry.quantity() != null) {
                int each = (int) Math.round(
                        entry.quantity().doubleValue() / battery.type().model().cells());
                the(Device.Kind.CART).ifPresent(cart -> send(cart, HandOrder.pour(battery.id(), each)));
            }
        }
    }

    public void switchFan(boolean on) {
        the(Device.Kind.AIR).ifPresent(air -> send(air, HandOrder.of(on ? Act.FAN_ON : Act.FAN_OFF, 0)));
    }

    /** Also of a charge that they have forgotten: they were started anew and know nothing of it. */
    void plug(ChargeRun run) {
        Long charger = run.chargerId();
        if (charger == null) {
            return;
        }
        atCharger(charger).ifPresent(device -> send(device, order(run, device)));
    }

    private Optional<Device> atCharger(long charger) {
        return needed ? devices.ofCharger(charger) : Optional.empty();
    }

    private Optional<Device> the(Device.Kind kind) {
        return needed ? devices.first(kind) : Optional.empty();
    }

    /** The load bank's clamps onto a battery. */
    static HandOrder clamp(Battery battery) {
        BatteryModel model = battery.type().model();
        return new HandOrder(
                Act.CLAMP,
                0,
                battery.id(),
                model.cells(),
                model.capacity().tenths(),
                model.marks().empty().points(),
                model.marks().scale().full().points(),
                0,
                0,
                0,
                0);
    }

    private HandOrder order(ChargeRun run, Device device) {
        ExpectedCharge facts = book.of(run);
        BatteryModel model = facts.battery().type().model();
        double capacity = model.capacity().ampHours();
        double missing = run.amps() != null ? 0 : facts.taken() == null ? USUAL_DEPTH : facts.taken() / capacity;
        Duration ago = Duration.between(run.begunAt(), clock.now());
        HandOrder order = new HandOrder(
                Act.PLUG,
                device.address().block(),
                run.batteryId(),
                model.cells(),
                model.capacity().tenths(),
                model.marks().empty().points(),
                model.marks().scale().full().points(),
                (int) Math.round(1000 * Math.min(MOST_MISSING, missing)),
                run.amps() == null ? 0 : (int) Math.round(10 * run.amps()),
                run.lasts() == null ? 0 : (int) run.lasts().toMinutes(),
                0);
        return run.amps() == null ? order.begun(ago) : order;
    }

    private void send(Device device, HandOrder order) {
        wire.write(device.host(), device.port(), Address.ofHands(), order.registers())
                .whenComplete((done, failure) -> {
                    if (failure != null) {
                        LOG.warn("The stand-ins were not told: {}", Objects.toString(failure.getMessage(), ""));
                    }
                });
    }
}
