package org.ostendum.app.device;

import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.device.Address;
import org.ostendum.core.device.LoadBankOrder;
import org.ostendum.core.device.LoadBankStatus;
import org.springframework.stereotype.Component;

/** The site's load bank: what it says, and what it is told. */
@Component
public class LoadBanks {
    private static final long ANSWERS_WITHIN_SECONDS = 4;
    /** Longer than a sound battery lasts: then something else is wrong. */
    private static final double LONGEST = 1.5;

    private final Devices devices;
    private final DeviceStatuses statuses;
    private final Wire wire;
    private final StandInHands hands;

    LoadBanks(Devices devices, DeviceStatuses statuses, Wire wire, StandInHands hands) {
        this.devices = devices;
        this.statuses = statuses;
        this.wire = wire;
        this.hands = hands;
    }

    /** @return whether the site has one */
    public boolean isThere() {
        return devices.first(Device.Kind.LOAD_BANK).isPresent();
    }

    /** @return what it says; empty while it is silent, or where there is none */
    public Optional<LoadBankStatus> status() {
        return devices.first(Device.Kind.LOAD_BANK).map(Device::roomId).flatMap(statuses::loadBank);
    }

    /** @return whether the load is on */
    public boolean start(Battery battery, TestSheet sheet) {
        int most = (int) Math.ceil(sheet.lasts().toSeconds() / 60.0 * LONGEST);
        LoadBankOrder order = new LoadBankOrder(
                LoadBankOrder.Act.START,
                sheet.amperes().amperes(),
                sheet.cutOff(),
                sheet.leads(),
                sheet.leadLimit(),
                most);
        return devices.first(Device.Kind.LOAD_BANK)
                .filter(device -> clamped(device, battery) && isDone(device, Address.ofLoadBank(), order.registers()))
                .isPresent();
    }

    /** Real clamps are put on by a person before he says that the test begins. */
    private boolean clamped(Device device, Battery battery) {
        return !hands.areNeeded()
                || isDone(device, Address.ofHands(), StandInHands.clamp(battery).registers());
    }

    /** @return whether it has heard that the load is to come off */
    public boolean stop() {
        return devices.first(Device.Kind.LOAD_BANK)
                .filter(device -> isDone(device, Address.ofLoadBank(), LoadBankOrder.STOP.registers()))
                .isPresent();
    }

    private boolean isDone(Device device, Address address, int[] words) {
        try {
            wire.write(device.host(), device.port(), address, words)
                    .toCompletableFuture()
                    .get(ANSWERS_WITHIN_SECONDS, TimeUnit.SECONDS);
            return true;
        } catch (ExecutionException | TimeoutException e) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
