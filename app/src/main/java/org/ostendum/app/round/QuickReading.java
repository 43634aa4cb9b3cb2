package org.ostendum.app.round;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.event.LogForm;
import org.ostendum.app.event.LogReading;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One cell, a level, a temperature, what was drawn off: each the way it is written elsewhere, all of them or none. */
@Service
class QuickReading {
    private final OpenRounds rounds;
    private final RoundTaking taking;
    private final RoundGates gates;
    private final LogReading reading;
    private final BatteryRecord record;

    QuickReading(OpenRounds rounds, RoundTaking taking, RoundGates gates, LogReading reading, BatteryRecord record) {
        this.rounds = rounds;
        this.taking = taking;
        this.gates = gates;
        this.reading = reading;
        this.record = record;
    }

    /** Writes it all down, or tells in {@code faults} what stands against it. */
    @Transactional
    public void take(Battery battery, ReadingForm form, Person person, Words words, Faults.Finder faults) {
        List<NewEntry> lines = lines(battery, form, person, words, faults);
        boolean ofCell = ReadingForm.isTyped(form.gravity());
        if (ofCell) {
            checkGravity(battery, form, person, words, faults);
        }
        if (faults.any()) {
            return;
        }
        if (!lines.isEmpty()) {
            record.record(battery, lines);
        }
        if (ofCell) {
            takeGravity(battery, form, person, words);
        }
    }

    private List<NewEntry> lines(Battery battery, ReadingForm form, Person person, Words words, Faults.Finder faults) {
        List<NewEntry> lines = new ArrayList<>();
        if (form.saysNothing()) {
            faults.add("gravity", "reading.fault.nothing");
        }
        if (ReadingForm.isTyped(form.level())) {
            add(lines, "level", battery, form.log(EntryKind.LEVEL, form.level(), form.cell()), person, words, faults);
        }
        if (ReadingForm.isTyped(form.drawn())) {
            add(
                    lines,
                    "drawn",
                    battery,
                    form.log(EntryKind.DREW_OFF, form.drawn(), form.cell()),
                    person,
                    words,
                    faults);
        }
        // With a gravity it belongs to the reading that it corrects.
        if (ReadingForm.isTyped(form.temperature()) && !ReadingForm.isTyped(form.gravity())) {
            LogForm alone = form.log(EntryKind.TEMPERATURE, form.temperature(), "");
            add(lines, "temperature", battery, alone, person, words, faults);
        }
        return lines;
    }

    private void add(
            List<NewEntry> lines,
            String field,
            Battery battery,
            LogForm log,
            Person person,
            Words words,
            Faults.Finder faults) {
        Faults.Finder found = new Faults.Finder(words);
        reading.read(battery, log, person, words, found).ifPresent(lines::add);
        found.found().byField().forEach((at, told) -> faults.say(at.equals("quantity") ? field : at, told));
    }

    private void checkGravity(Battery battery, ReadingForm form, Person person, Words words, Faults.Finder faults) {
        TypedInput.Read<?> gravity = SheetValues.typed(SheetField.GRAVITY, form.gravity(), words);
        if (gravity.fault() != null) {
            faults.say("gravity", gravity.fault());
        }
        TypedInput.Read<?> warm = SheetValues.typed(SheetField.TEMPERATURE, form.temperature(), words);
        if (warm.fault() != null) {
            faults.say("temperature", warm.fault());
        }
        if (cell(battery, form) == null) {
            faults.add("cell", "fault.number", String.valueOf(form.cell()), 1, cells(battery));
        }
        if (form.state() == null) {
            faults.add("state", "fault.choose");
        }
        if (rounds.of(battery.id()).isPresent()) {
            faults.add("gravity", "reading.fault.open", battery.code());
        }
        gates.shut(battery, person, words).stream()
                .findFirst()
                .ifPresent(shut -> faults.say("gravity", shut.why() + " " + shut.remedy()));
    }

    private static int cells(Battery battery) {
        return battery.type().model().cells();
    }

    private static @Nullable Integer cell(Battery battery, ReadingForm form) {
        String typed = form.cell() == null ? "" : form.cell().strip();
        if (!typed.matches("\\d{1,3}")) {
            return null;
        }
        int cell = Integer.parseInt(typed);
        return cell < 1 || cell > cells(battery) ? null : (Integer) cell;
    }

    /** A round of one pilot cell, begun and closed at once. */
    private void takeGravity(Battery battery, ReadingForm form, Person person, Words words) {
        @Nullable Integer cell = cell(battery, form);
        @Nullable RoundState state = form.state();
        if (cell == null || state == null) {
            throw new IllegalArgumentException("Checked before");
        }
        rounds.begin(battery.id(), person.id(), state, cell);
        OpenRound open = rounds.of(battery.id()).orElseThrow();
        keep(battery, open, cell, SheetField.GRAVITY, form.gravity(), person, words);
        if (ReadingForm.isTyped(form.temperature())) {
            keep(battery, open, 0, SheetField.TEMPERATURE, form.temperature(), person, words);
        }
        taking.close(battery, open.id(), person);
    }

    private void keep(
            Battery battery,
            OpenRound open,
            int cell,
            SheetField field,
            @Nullable String value,
            Person person,
            Words words) {
        RoundTaking.Sent sent = new RoundTaking.Sent(UUID.randomUUID().toString(), cell, field, value, 0);
        if (!(taking.keep(open.id(), cells(battery), sent, person, words) instanceof ValueOutcome.Kept)) {
            throw new IllegalStateException("A value checked before was refused: " + field);
        }
    }
}
