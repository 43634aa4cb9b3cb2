package org.ostendum.app.support;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.ostendum.core.safety.StationCheck;
import org.springframework.boot.test.context.TestComponent;

/** Batteries of one test alone: what other tests do to the demo's does not reach them. */
@TestComponent
public class OwnBatteries {
    public static final String ROOM = "tests";
    private static final int SLOTS = 60;
    private static final Duration JUST = Duration.ofHours(6);

    private static final StackWalker WALKER = StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE);

    private final Batteries batteries;
    private final Models models;
    private final Rooms rooms;
    private final People people;
    private final Stations stations;
    private final BatteryRecord record;
    private final ConcurrentMap<String, Class<?>> owners = new ConcurrentHashMap<>();

    OwnBatteries(
            Batteries batteries, Models models, Rooms rooms, People people, Stations stations, BatteryRecord record) {
        this.batteries = batteries;
        this.models = models;
        this.rooms = rooms;
        this.people = people;
        this.stations = stations;
        this.record = record;
    }

    /** @return one of a model of the demo in a free slot, fully charged six hours ago, never read; the same under its code again */
    public Battery full(String code, String like) {
        claim(code, WALKER.getCallerClass());
        return full(code, like, JUST);
    }

    /** The same, cool by now and ready for work. */
    public Battery rested(String code, String like) {
        claim(code, WALKER.getCallerClass());
        return full(code, like, Duration.ofHours(30));
    }

    /** What the calendar equalises: full, and for so many days on record without an equalising charge. */
    public Battery toEqualise(String code, String like) {
        claim(code, WALKER.getCallerClass());
        Battery battery = full(code, like, JUST);
        record.record(
                battery,
                List.of(LedgerEvents.entry(
                        new ChargeEnded(
                                TestClock.now().minus(Duration.ofDays(40)), Ending.FULL, Set.of(FullSign.LAMP), null),
                        people.byLogin("tom").orElseThrow().id(),
                        "")));
        return battery;
    }

    /** Two tests with one battery would pass or fail by which of them is run first. */
    private void claim(String code, Class<?> test) {
        Class<?> owner = owners.putIfAbsent(code, test);
        if (owner != null && owner != test) {
            throw new IllegalArgumentException(code + " is a battery of " + owner.getSimpleName() + ": "
                    + test.getSimpleName() + " needs a code of its own");
        }
    }

    private Battery full(String code, String like, Duration since) {
        return batteries.byCode(code).orElseGet(() -> {
            Battery battery = add(code, like);
            Instant full = TestClock.now().minus(since);
            write(battery, full);
            return battery;
        });
    }

    private Battery add(String code, String like) {
        LocalDate since = TestClock.today().minusMonths(7);
        long model = batteries.byCode(like).orElseThrow().type().id();
        long id = batteries.add(
                code, "OWN-" + code, models.byId(model).orElseThrow().id(), since, since);
        batteries.place(id, slot(), null);
        return batteries.byId(id).orElseThrow();
    }

    private long slot() {
        if (rooms.byCode(ROOM).isEmpty()) {
            long room = rooms.add(ROOM, "Test room", 1500, 800);
            long tom = people.byLogin("tom").orElseThrow().id();
            for (StationCheck check : StationCheck.values()) {
                stations.check(stations.add(room, check, check.name()), true, "", tom);
            }
        }
        return free().orElseGet(() -> {
            // A stand holds so many; tests may need another.
            RoomPlan plan = rooms.byCode(ROOM).orElseThrow();
            int stands = plan.stands().size();
            String code = "T" + (stands == 0 ? "" : stands + 1);
            rooms.addStand(
                    plan.id(),
                    new Stand(
                            0,
                            code,
                            stands == 0 ? "Test stand" : "Test stand " + code,
                            StandKind.STAND,
                            40,
                            40 + 120 * stands,
                            1400,
                            100,
                            List.of()),
                    SLOTS);
            return free().orElseThrow();
        });
    }

    private Optional<Long> free() {
        return rooms.byCode(ROOM)
                .orElseThrow()
                .slots()
                .map(RoomPlan.Slot::id)
                .filter(slot -> batteries.all().stream().noneMatch(b -> Objects.equals(b.slotId(), slot)))
                .findFirst();
    }

    private void write(Battery battery, Instant full) {
        long tom = people.byLogin("tom").orElseThrow().id();

        ChargeEnded ended = new ChargeEnded(full, Ending.FULL, Set.of(FullSign.STEADY_VOLTAGE, FullSign.LAMP), null);
        record.record(
                battery,
                List.of(
                        NewEntry.of(EntryKind.ADDED, full.minus(Duration.ofDays(200)), tom, null, ""),
                        NewEntry.of(EntryKind.DISCHARGE, full.minus(Duration.ofHours(9)), tom, null, ""),
                        LedgerEvents.entry(
                                new ChargeStarted(full.minus(Duration.ofHours(8)), ChargeKind.CONVENTIONAL, null),
                                tom,
                                ""),
                        LedgerEvents.entry(ended, tom, "")));
    }
}
