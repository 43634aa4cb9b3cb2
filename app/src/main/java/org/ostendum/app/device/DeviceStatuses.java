package org.ostendum.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import org.ostendum.app.state.Measured;
import org.ostendum.core.alarm.Silence;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.CartStatus;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.LoadBankStatus;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.quantity.Celsius;
import org.springframework.stereotype.Component;

/** What is known of each device by now. For screens: only what is fresh. */
@Component
public class DeviceStatuses implements Measured {
    private static final int ROUNDS_MISSED = 10;

    private final DeviceClock clock;
    private final Map<Long, LastStatus<ChargerStatus>> chargers = new ConcurrentHashMap<>();
    private final Map<Long, LastStatus<TagStatus>> tags = new ConcurrentHashMap<>();
    private final Map<Long, LastStatus<AirStatus>> airs = new ConcurrentHashMap<>();
    private final Map<Long, LastStatus<CartStatus>> carts = new ConcurrentHashMap<>();
    private final Map<Long, LastStatus<LoadBankStatus>> loadBanks = new ConcurrentHashMap<>();

    DeviceStatuses(DeviceClock clock) {
        this.clock = clock;
    }

    /** @return words of a device's block */
    static int length(Device device) {
        return switch (device.kind()) {
            case CHARGER -> ChargerStatus.LENGTH;
            case TAG -> TagStatus.LENGTH;
            case AIR -> AirStatus.LENGTH;
            case CART -> CartStatus.LENGTH;
            case LOAD_BANK -> LoadBankStatus.LENGTH;
        };
    }

    /** @return whether it made sense and was new */
    boolean hear(Device device, int[] registers, Instant at, long nanos) {
        return status(device).hear(registers, at, nanos).isPresent();
    }

    Duration silentFor(Device device, long nanos) {
        return status(device).silentFor(nanos);
    }

    private LastStatus<?> status(Device device) {
        return switch (device.kind()) {
            case CHARGER -> status(chargers, device, ChargerStatus::of, ChargerStatus::beat);
            case TAG -> status(tags, device, TagStatus::of, TagStatus::beat);
            case AIR -> status(airs, device, AirStatus::of, AirStatus::beat);
            case CART -> status(carts, device, CartStatus::of, CartStatus::beat);
            case LOAD_BANK -> status(loadBanks, device, LoadBankStatus::of, LoadBankStatus::beat);
        };
    }

    private <S> LastStatus<S> status(
            Map<Long, LastStatus<S>> statuses,
            Device device,
            Function<int[], Optional<S>> decoder,
            ToIntFunction<S> beat) {
        return statuses.computeIfAbsent(
                owner(device), id -> new LastStatus<>(decoder, beat, clock.speed(), clock.nanos()));
    }

    private static long owner(Device device) {
        Long id =
                switch (device.kind()) {
                    case CHARGER -> device.chargerId();
                    case TAG -> device.batteryId();
                    case AIR, CART, LOAD_BANK -> device.roomId();
                };
        return id == null ? -1 : id;
    }

    public Optional<ChargerStatus> charger(long chargerId) {
        return fresh(chargers, chargerId);
    }

    Optional<DatedStatus<ChargerStatus>> chargerHeard(long chargerId) {
        return Optional.ofNullable(chargers.get(chargerId)).flatMap(status -> Optional.ofNullable(status.last()));
    }

    /** What it said last is not to be shown; it counts as not heard yet. */
    void forgetCharger(long chargerId) {
        chargers.remove(chargerId);
    }

    public Optional<TagStatus> tag(long batteryId) {
        return fresh(tags, batteryId);
    }

    public Optional<AirStatus> air(long roomId) {
        return fresh(airs, roomId);
    }

    public Optional<CartStatus> cart(long roomId) {
        return fresh(carts, roomId);
    }

    public Optional<LoadBankStatus> loadBank(long roomId) {
        return fresh(loadBanks, roomId);
    }

    @Override
    public Optional<Celsius> battery(long batteryId) {
        return tag(batteryId).map(TagStatus::celsius);
    }

    @Override
    public Optional<Celsius> room(long roomId) {
        return air(roomId).map(AirStatus::celsius);
    }

    private <S> Optional<S> fresh(Map<Long, LastStatus<S>> statuses, long owner) {
        return Optional.ofNullable(statuses.get(owner))
                .filter(status -> status.silentFor(clock.nanos()).compareTo(patience()) < 0)
                .flatMap(status -> Optional.ofNullable(status.last()).map(DatedStatus::status));
    }

    /** A minute, but never fewer than some polls, so that a fast clock does not make everything silent. */
    Duration patience() {
        Duration rounds = clock.betweenRounds().multipliedBy(ROUNDS_MISSED);
        return rounds.compareTo(Silence.PATIENCE) > 0 ? rounds : Silence.PATIENCE;
    }
}
