package org.ostendum.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.app.alarm.PollAlarms;
import org.ostendum.app.charge.ChargeReadings.DeviceSample;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.charge.ChargerEvents;
import org.ostendum.app.charge.SampleBuffer;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.ChargeAlarms;
import org.ostendum.core.alarm.LevelLamp;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.springframework.stereotype.Component;

/** Follows every charge whose charger can be heard: keeps its samples, its meters and its lamp, and judges it. */
@Component
class ChargeWatch {
    private static final List<AlarmKind> KINDS =
            Arrays.stream(AlarmKind.values()).filter(AlarmKind::isOfCharge).toList();

    private final ChargeRuns runs;
    private final ExpectedCharges book;
    private final DeviceStatuses statuses;
    private final SampleBuffer samples;
    private final ChargerEvents chargerEvents;
    private final DeviceClock clock;
    private final BatteryStates batteryStates;
    private final StandInHands hands;
    private final Map<Long, ChargeFollower> followers = new ConcurrentHashMap<>();
    private final Map<Long, ChargerStatus.Trouble> troubles = new HashMap<>();
    private final Queue<TroubleHeard> unwritten = new ConcurrentLinkedQueue<>();
    private final Queue<ChargeRun> forgotten = new ConcurrentLinkedQueue<>();
    private final Set<Long> toldAgain = new HashSet<>();
    private volatile Rules rules = Rules.standard();
    private volatile int charging;

    ChargeWatch(
            ChargeRuns runs,
            ExpectedCharges book,
            DeviceStatuses statuses,
            SampleBuffer samples,
            ChargerEvents chargerEvents,
            DeviceClock clock,
            BatteryStates batteryStates,
            StandInHands hands) {
        this.runs = runs;
        this.book = book;
        this.statuses = statuses;
        this.samples = samples;
        this.chargerEvents = chargerEvents;
        this.clock = clock;
        this.batteryStates = batteryStates;
        this.hands = hands;
    }

    /** @return chargers through which current flows */
    int charging() {
        return charging;
    }

    void follow(List<Device> news, List<Device> known, PollAlarms alarmsFound) {
        alarmsFound.onCharge(followers.values().stream()
                .map(follower -> follower.run().batteryId())
                .collect(Collectors.toSet()));
        for (Device device : news) {
            Long charger = device.chargerId();
            if (device.kind() == Device.Kind.CHARGER && charger != null) {
                statuses.chargerHeard(charger).ifPresent(heard -> hear(charger, device, heard, alarmsFound));
            } else if (device.kind() == Device.Kind.TAG && device.batteryId() != null) {
                tag(device, device.batteryId(), alarmsFound);
            }
        }
        charging = (int) known.stream()
                .filter(d -> d.chargerId() != null)
                .flatMap(d -> statuses.charger(d.chargerId()).stream())
                .filter(s -> s.state().isCharging())
                .count();
    }

    /** A trouble that a charger has told. */
    private record TroubleHeard(long charger, Instant at, @Nullable Long battery, ChargerStatus.Trouble trouble) {}

    /** Charges that people began or ended since, and the site's rules as they are now. */
    void learn() {
        rules = batteryStates.rulesFor(null);
        Map<Long, ChargeRun> open = new HashMap<>();
        for (ChargeRun run : runs.open()) {
            if (run.chargerId() != null) {
                open.put(run.chargerId(), run);
            }
        }
        followers.entrySet().removeIf(e -> {
            ChargeRun run = open.get(e.getKey());
            return run == null || run.id() != e.getValue().run().id();
        });
        open.forEach((charger, run) -> {
            if (!followers.containsKey(charger)) {
                followers.put(charger, new ChargeFollower(run, book.of(run), clock.speed()));
            }
        });
    }

    private void hear(long charger, Device device, DatedStatus<ChargerStatus> heard, PollAlarms alarmsFound) {
        ChargerStatus status = heard.status();
        ChargeFollower follower = followers.get(charger);
        trouble(charger, follower, status);
        if (follower == null) {
            unattended(charger, device, status, alarmsFound);
            return;
        }
        if (status.state() == ChargerStatus.State.EMPTY) {
            tellAgain(charger, follower.run());
        } else {
            toldAgain.remove(follower.run().id());
        }
        @Nullable Celsius celsius = celsius(follower.run().batteryId());
        follower.hear(heard, celsius);
        ChargeSample sample = follower.takeSample();
        if (sample != null) {
            samples.add(new DeviceSample(follower.run().batteryId(), sample));
        }
        List<Alarm> alarms = ChargeAlarms.of(follower.watched(status, celsius, clock.nanos()));
        alarmsFound.add(
                KINDS,
                follower.facts().battery().code(),
                alarms,
                new Belongs(follower.run().batteryId(), charger, null));
        alarmsFound.add(KINDS, device.name(), List.of(), new Belongs(null, charger, null));
    }

    /** Stand-ins that were started anew know nothing of the charge: they are told before any screen says that nothing is plugged in. */
    private void tellAgain(long charger, ChargeRun run) {
        forgotten.add(run);
        if (hands.areNeeded() && toldAgain.add(run.id())) {
            statuses.forgetCharger(charger);
        }
    }

    private @Nullable Celsius celsius(long batteryId) {
        return statuses.tag(batteryId).map(TagStatus::celsius).orElse(null);
    }

    /** Something is plugged in and nobody has said what: only what the charger itself says can be judged. */
    private void unattended(long charger, Device device, ChargerStatus status, PollAlarms alarmsFound) {
        ChargeAlarms.Watched watched = new ChargeAlarms.Watched(
                device.name(),
                status,
                null,
                rules.celsius(RuleKey.CHARGE_STOP),
                Duration.ZERO,
                null,
                null,
                true,
                rules);
        alarmsFound.add(KINDS, device.name(), ChargeAlarms.of(watched), new Belongs(null, charger, null));
    }

    private void trouble(long charger, @Nullable ChargeFollower follower, ChargerStatus status) {
        ChargerStatus.Trouble before = troubles.put(charger, status.trouble());
        if (status.trouble() != ChargerStatus.Trouble.NONE && before != null && before != status.trouble()) {
            unwritten.add(new TroubleHeard(
                    charger,
                    clock.now(),
                    follower == null ? null : (Long) follower.run().batteryId(),
                    status.trouble()));
        }
    }

    private void tag(Device device, long battery, PollAlarms alarmsFound) {
        statuses.tag(battery)
                .ifPresent(tag -> alarmsFound.add(
                        List.of(AlarmKind.LEVEL_LOW),
                        device.name(),
                        LevelLamp.of(device.name(), tag).stream().toList(),
                        new Belongs(battery, null, null)));
    }

    /** Writes down what changed of each charge; stand-ins that have forgotten one are told again. */
    void keep() {
        List<ChargeRun> changed = new ArrayList<>();
        for (ChargeFollower follower : followers.values()) {
            follower.takeChanged().ifPresent(changed::add);
        }
        if (!changed.isEmpty()) {
            runs.keep(changed);
        }
        for (TroubleHeard t = unwritten.peek(); t != null; t = unwritten.peek()) {
            chargerEvents.add(
                    t.charger(),
                    t.at(),
                    ChargerEvents.What.TROUBLE,
                    t.battery(),
                    null,
                    t.trouble().name());
            unwritten.remove();
        }
        Set<Long> told = new HashSet<>();
        for (ChargeRun run = forgotten.poll(); run != null; run = forgotten.poll()) {
            if (told.add(run.id())) {
                hands.plug(run);
            }
        }
    }
}
