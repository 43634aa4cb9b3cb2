package org.ostendum.standins;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import org.ostendum.core.device.Address;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.CartStatus;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.HandOrder;
import org.ostendum.core.device.LoadBankOrder;
import org.ostendum.core.device.LoadBankStatus;
import org.ostendum.core.device.TagStatus;

/** A room of simulated equipment as whoever reads its registers sees it, whatever the protocol. Safe for several threads. */
public final class Registers {
    private final SimulatedRoom room;

    Registers(SimulatedRoom room) {
        this.room = room;
    }

    /**
     * A room of its own, for tests that let time pass themselves.
     *
     * @param bank the file of its chargers; beside it lies that of its batteries
     * @param volume of the room, m³
     * @param fanAir m³/h
     */
    public static Registers of(Path bank, double volume, double fanAir) throws IOException {
        return new Registers(
                new SimulatedRoom(BankFile.read(bank), BatteriesFile.standing(bank), new RoomAir(volume, fanAir)));
    }

    /** @return the words that lie there; empty where nothing does */
    public Optional<int[]> read(Address address) {
        int block = address.block();
        if (address.unit() == Address.ofCharger(0).unit()) {
            return room.chargerStatus(block).map(ChargerStatus::registers);
        }
        if (address.unit() == Address.ofTag(0).unit()) {
            return room.tagStatus(block).map(TagStatus::registers);
        }
        if (address.equals(Address.ofAir())) {
            return Optional.of(room.airStatus()).map(AirStatus::registers);
        }
        if (address.equals(Address.ofLoadBank())) {
            return room.loadBankStatus().map(LoadBankStatus::registers);
        }
        return address.equals(Address.ofCart())
                ? Optional.of(room.cartStatus()).map(CartStatus::registers)
                : Optional.empty();
    }

    /** @return whether it was an order, to hands or to the load bank, and could be done */
    public boolean write(Address address, int[] words) {
        if (address.equals(Address.ofLoadBank())) {
            return LoadBankOrder.of(words).filter(room::obey).isPresent();
        }
        return address.equals(Address.ofHands())
                && HandOrder.of(words).filter(room::obey).isPresent();
    }

    public void pass(Duration time) {
        room.pass(time);
    }
}
