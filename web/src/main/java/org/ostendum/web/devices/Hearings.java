package org.ostendum.web.devices;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import org.ostendum.core.alarm.Silence;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.CartStatus;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.web.state.Measured;
import org.ostendum.web.store.Device;
import org.springframework.stereotype.Component;

/** What is known of each device by now. For screens: only what is fresh. */
@Component
public class Hearings implements Measured {
    private static final int ROUNDS_MISSED = 10;

    private final DeviceClock clock;
    private final Map<Long, Ear<ChargerStatus>> chargers = new ConcurrentHashMap<>();
    private final Map<Long, Ear<TagStatus>> tags = new ConcurrentHashMap<>();
    private final Map<Long, Ear<AirStatus>> airs = new ConcurrentHashMap<>();
    private final Map<Long, Ear<CartStatus>> carts = new ConcurrentHashMap<>();

    Hearings(DeviceClock clock) {
        this.clock = clock;
    }

    /** @return words of a device's block */
    static int length(Device device) {
        return switch (device.kind()) {
            case CHARGER -> ChargerStatus.LENGTH;
            case TAG -> TagStatus.LENGTH;
            case AIR -> AirStatus.LENGTH;
            case CART -> CartStatus.LENGTH;
        };
    }

    /** @return whether it made sense and was new */
    boolean hear(Device device, int[] registers, Instant at, long nanos) {
        return ear(device).hear(registers, at, nanos).isPresent();
    }

    Duration silentFor(Device device, long nanos) {
        return ear(device).silentFor(nanos);
    }

    private Ear<?> ear(Device device) {
        return switch (device.kind()) {
            case CHARGER -> ear(chargers, device, ChargerStatus::of, ChargerStatus::beat);
            case TAG -> ear(tags, device, TagStatus::of, TagStatus::beat);
            case AIR -> ear(airs, device, AirStatus::of, AirStatus::beat);
            case CART -> ear(carts, device, CartStatus::of, CartStatus::beat);
        };
    }

    private <S> Ear<S> ear(
            Map<Long, Ear<S>> ears, Device device, Function<int[], Optional<S>> decoder, ToIntFunction<S> beat) {
        return ears.computeIfAbsent(owner(device), id -> new Ear<>(decoder, beat, clock.speed(), clock.nanos()));
    }

    private static long owner(Device device) {
        Long id =
                switch (device.kind()) {
                    case CHARGER -> device.chargerId();
                    case TAG -> device.batteryId();
                    case AIR, CART -> device.roomId();
                };
        return id == null ? -1 : id;
    }

    public Optional<ChargerStatus> charger(long chargerId) {
        return fresh(chargers, chargerId);
    }

    Optional<Heard<ChargerStatus>> chargerHeard(long chargerId) {
        return Optional.ofNullable(chargers.get(chargerId)).flatMap(ear -> Optional.ofNullable(ear.last()));
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

    @Override
    public Optional<Celsius> battery(long batteryId) {
        return tag(batteryId).map(TagStatus::celsius);
    }

    @Override
    public Optional<Celsius> room(long roomId) {
        return air(roomId).map(AirStatus::celsius);
    }

    private <S> Optional<S> fresh(Map<Long, Ear<S>> ears, long owner) {
        return Optional.ofNullable(ears.get(owner))
                .filter(ear -> ear.silentFor(clock.nanos()).compareTo(patience()) < 0)
                .flatMap(ear -> Optional.ofNullable(ear.last()).map(Heard::status));
    }

    /** A minute, but never fewer than some rounds of listening, so that a fast clock does not make everything silent. */
    Duration patience() {
        Duration rounds = clock.betweenRounds().multipliedBy(ROUNDS_MISSED);
        return rounds.compareTo(Silence.PATIENCE) > 0 ? rounds : Silence.PATIENCE;
    }
}
