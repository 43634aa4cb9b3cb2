package org.ostendum.app.wiring;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.wiring.Tap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Hangs a tap on other blocks, with a line in the pack's history. */
@Service
class TapMoving {
    private final Packs packs;
    private final BatteryRecord record;

    TapMoving(Packs packs, BatteryRecord record) {
        this.packs = packs;
        this.record = record;
    }

    @Transactional
    public void move(Battery battery, Tap from, Tap to, Person by, Words words) {
        if (from.equals(to)) {
            return;
        }
        packs.moveTap(battery.id(), to, words.now());
        String told = words.text("pack.tap.move.told", from.name(), from.first(), from.last(), to.first(), to.last());
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told)));
    }
}
