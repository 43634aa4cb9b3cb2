package org.ostendum.app.api;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.event.EventType;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Plausible;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Takes what a program says happened to a battery: through the one way to write, with the refusals of a form. */
@Service
class EventTaking {
    private static final int MOST = 500;

    private final BatteryStates batteryStates;
    private final BatteryRecord record;
    private final EventBatches batches;
    private final Defects defects;
    private final Batteries batteries;
    private final Machines machines;
    private final Rooms rooms;

    EventTaking(
            BatteryStates batteryStates,
            BatteryRecord record,
            EventBatches batches,
            Defects defects,
            Batteries batteries,
            Machines machines,
            Rooms rooms) {
        this.batteryStates = batteryStates;
        this.record = record;
        this.batches = batches;
        this.defects = defects;
        this.batteries = batteries;
        this.machines = machines;
        this.rooms = rooms;
    }

    /** @param again whether the same key had been kept before, so that nothing was written */
    record Taken(int kept, boolean again) {}

    /** What is to be written: lines, and what stands in tables of its own. */
    private static final class Batch {
        private final List<NewEntry> lines = new ArrayList<>();
        private final List<BatteryEvent> besides = new ArrayList<>();
    }

    @Transactional
    public Taken take(Battery battery, JsonNode body, Person person, Words words) {
        Members members = Members.of(body);
        String key = key(members);
        List<Members> events = members.list("events", MOST);
        if (events.isEmpty()) {
            throw members.bad("events", "an array of 1 to " + MOST + " events");
        }
        record.lock(battery);
        if (!batches.keep(key, battery.id(), person.id())) {
            return new Taken(0, true);
        }
        Batch batch = new Batch();
        for (Members event : events) {
            add(battery, event, batch, person, words);
        }
        record.record(battery, batch.lines, batch.besides);
        return new Taken(events.size(), false);
    }

    private static String key(Members body) {
        try {
            return UUID.fromString(body.text("key")).toString();
        } catch (IllegalArgumentException e) {
            throw body.bad("key", "a UUID made by the program, so that the same sending is kept once");
        }
    }

    private void add(Battery battery, Members event, Batch batch, Person person, Words words) {
        EventType type = EventMembers.type(event);
        Instant at = event.time("at");
        if (at.isAfter(batteryStates.instant())) {
            throw event.bad("at", "a time that has come");
        }
        switch (type) {
            case DEFECT -> found(battery, event, batch, person, words);
            case DEFECT_RIGHTED -> righted(battery, event, batch, person, words);
            case MOVED -> batch.lines.add(moved(battery, event, at, person));
            default -> batch.lines.add(line(battery, event, at, person, words));
        }
    }

    private NewEntry line(Battery battery, Members event, Instant at, Person person, Words words) {
        BatteryEvent told = EventMembers.read(event, battery.type().model().cells());
        BatteryState before = batteryStates.stateAt(battery, at);
        Optional<Plausible.Objection> objection = Plausible.objection(told, before);
        if (objection.isPresent() && !(objection.get().canBeMeant() && event.flag("meant"))) {
            String remedy = objection.get().canBeMeant() ? " Send \"meant\": true where it is really so." : "";
            throw new ApiProblem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    event.path(objection.get().field()),
                    words.say(objection.get().sentence()) + remedy);
        }
        return LedgerEvents.entry(told, person.id(), event.text("note"));
    }

    private void found(Battery battery, Members event, Batch batch, Person person, Words words) {
        DefectKind kind = DefectKind.ofWord(event.text("kind"))
                .orElseThrow(() -> event.bad("kind", "the word of a defect, such as loose_lug or damaged_case"));
        String remark = event.text("note").isEmpty() ? words.name(kind) : event.text("note");
        defects.open(battery, kind, remark, null, person.id()).ifPresent(found -> {
            batch.lines.add(NewEntry.of(EntryKind.DEFECT, found.event().at(), person.id(), null, words.name(kind)));
            if (found.ofBattery()) {
                batch.besides.add(found.event());
            }
        });
    }

    private void righted(Battery battery, Members event, Batch batch, Person person, Words words) {
        DefectKind kind = DefectKind.ofWord(event.text("kind"))
                .orElseThrow(() -> event.bad("kind", "the word of a defect that stands, such as loose_lug"));
        Defects.Defect open = defects.openOf(battery.id(), battery.machineId()).stream()
                .filter(defect -> defect.kind() == kind)
                .findFirst()
                .orElseThrow(() -> event.bad("kind", "a defect that stands open on " + battery.code()));
        String remark = event.text("note").isEmpty() ? words.name(kind) : event.text("note");
        defects.putRight(open.id(), remark, person.id()).ifPresent(done -> {
            batch.lines.add(NewEntry.of(EntryKind.DEFECT_RIGHTED, done.at(), person.id(), null, remark));
            if (open.batteryId() != null) {
                batch.besides.add(done);
            }
        });
    }

    private NewEntry moved(Battery battery, Members event, Instant at, Person person) {
        String machine = event.text("machine");
        String slot = event.text("slot");
        if (machine.isEmpty() == slot.isEmpty()) {
            throw event.bad("slot", "a slot such as \"Stand A 3\", or else \"machine\": its code");
        }
        if (!machine.isEmpty()) {
            Machine into = machines.byCode(machine).orElseThrow(() -> event.bad("machine", "the code of a machine"));
            batteries.inMachine(into.id()).filter(b -> b.id() != battery.id()).ifPresent(b -> {
                throw event.bad("machine", "an empty machine; " + machine + " holds " + b.code());
            });
            batteries.place(battery.id(), null, into.id());
        } else {
            long free = rooms.freeSlots().stream()
                    .filter(s -> s.place().equals(slot))
                    .findFirst()
                    .orElseThrow(() -> event.bad("slot", "a free slot, by its stand and number"))
                    .id();
            batteries.place(battery.id(), free, null);
        }
        BatteryEvent told =
                new BatteryEvent.Moved(at, slot.isEmpty() ? null : slot, machine.isEmpty() ? null : machine);
        return LedgerEvents.entry(told, person.id(), event.text("note"));
    }
}
