package org.ostendum.app.wiring;

import java.util.List;
import java.util.stream.Collectors;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.life.BlockWay;
import org.ostendum.core.people.Person;
import org.ostendum.core.wiring.Tap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is changed at a pack or its drawing, with a line in its history. */
@Service
class PackChanges {
    private final Packs packs;
    private final BatteryRecord record;

    PackChanges(Packs packs, BatteryRecord record) {
        this.packs = packs;
        this.record = record;
    }

    @Transactional
    public void moveTap(Battery battery, Tap from, Tap to, Person by, Words words) {
        if (from.equals(to)) {
            return;
        }
        packs.moveTap(battery.id(), to, words.now());
        String told = words.text("pack.tap.move.told", from.name(), from.first(), from.last(), to.first(), to.last());
        note(battery, told, by, words);
    }

    /** A block stands the other way round than it was drawn. */
    @Transactional
    public void turn(Battery battery, CellLayout was, int block, Person by, Words words) {
        packs.keepLayout(battery, was.turned(block));
        note(battery, words.text("pack.turned", block), by, words);
    }

    /** It stands as its model again. */
    @Transactional
    public void asModel(Battery battery, Person by, Words words) {
        packs.keepLayout(battery, battery.type().model().layout());
        note(battery, words.text("pack.as-model.done"), by, words);
    }

    /** Which way out of a bad block was taken, and why. */
    @Transactional
    public void choose(Battery battery, List<Integer> blocks, BlockWay way, String reason, Person by, Words words) {
        String told = words.text("pack.bad.kept." + way, numbers(blocks)) + (reason.isEmpty() ? "" : " " + reason);
        NewEntry line = NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told);
        record.record(battery, List.of(line.with(new LedgerPayload.WayOut(way, blocks))));
    }

    private static String numbers(List<Integer> blocks) {
        return blocks.stream().map(String::valueOf).collect(Collectors.joining(", "));
    }

    private void note(Battery battery, String told, Person by, Words words) {
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told)));
    }
}
