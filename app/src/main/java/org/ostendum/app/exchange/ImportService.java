package org.ostendum.app.exchange;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvProblem;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.csv.FileRead;
import org.ostendum.app.event.GivenEvent;
import org.ostendum.app.exchange.ImportFiles.Kind;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.app.state.Rounds;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.measure.Round;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads files against what is on record, and takes them in whole or not at all. */
@Service
public class ImportService {
    private final Batteries batteries;
    private final Rounds rounds;
    private final Ledger ledger;
    private final RoundRecord record;
    private final BatteryRecord batteryRecord;
    private final Clock clock;

    ImportService(
            Batteries batteries,
            Rounds rounds,
            Ledger ledger,
            RoundRecord record,
            BatteryRecord batteryRecord,
            Clock clock) {
        this.batteries = batteries;
        this.rounds = rounds;
        this.ledger = ledger;
        this.record = record;
        this.batteryRecord = batteryRecord;
        this.clock = clock;
    }

    /** What would come of it; nothing is written. */
    public ImportReport look(Kind kind, byte[] content) {
        return kind == Kind.ROUNDS ? rounds(content, null) : events(content, null);
    }

    /** Takes a sound file in; of one with problems nothing. */
    @Transactional
    public ImportReport take(Kind kind, byte[] content, long personId) {
        return kind == Kind.ROUNDS ? rounds(content, personId) : events(content, personId);
    }

    private static Reader text(byte[] content) {
        return new BufferedReader(new InputStreamReader(new ByteArrayInputStream(content), StandardCharsets.UTF_8));
    }

    private ImportReport rounds(byte[] content, @Nullable Long takenBy) {
        FileRead<RoundsCsv.Line> file = RoundsCsv.read(text(content));
        Map<String, Battery> known = new HashMap<>();
        Map<String, List<Round>> byBattery = new LinkedHashMap<>();
        Map<String, Set<Instant>> onRecord = new HashMap<>();
        int readings = 0;
        for (RoundsCsv.Line line : file.lines()) {
            @Nullable Battery battery = battery(line.battery(), line.line(), known, file.problems());
            if (battery != null) {
                Set<Instant> times = onRecord.computeIfAbsent(line.battery(), c -> rounds.takenAt(battery.id()));
                check(line, battery, times, file.problems());
                byBattery
                        .computeIfAbsent(line.battery(), c -> new ArrayList<>())
                        .add(line.round());
                readings += line.round().readings().size();
            }
        }
        boolean take = takenBy != null && file.problems().count() == 0;
        if (takenBy != null && take) {
            byBattery.forEach((code, read) -> take(known.get(code), read, takenBy));
        }
        return report(file, file.lines().size(), readings, byBattery.size(), take);
    }

    private @Nullable Battery battery(String code, long line, Map<String, Battery> known, CsvProblems problems) {
        Battery battery = known.get(code);
        if (battery == null) {
            battery = batteries.byCode(code).orElse(null);
            if (battery == null) {
                problems.add(new CsvProblem(
                        line, "battery", code, "the code of a battery of this site; add it under Setup first"));
                return null;
            }
            known.put(code, battery);
        }
        return battery;
    }

    private void check(RoundsCsv.Line line, Battery battery, Set<Instant> onRecord, CsvProblems problems) {
        int cells = battery.type().model().cells();
        line.round().readings().stream()
                .filter(r -> r.cell() > cells)
                .findFirst()
                .ifPresent(r -> problems.add(new CsvProblem(
                        line.line(),
                        "cell",
                        String.valueOf(r.cell()),
                        "1 to " + cells + ": " + battery.code() + " has " + cells + " cells")));
        String time = line.round().takenAt().toString();
        if (line.round().takenAt().isAfter(clock.instant())) {
            problems.add(new CsvProblem(line.line(), "taken_at", time, "a time that has come"));
        }
        if (onRecord.contains(line.round().takenAt())) {
            problems.add(new CsvProblem(
                    line.line(), "taken_at", time, "a round that is not on record yet; take this one out"));
        }
    }

    private void take(@Nullable Battery battery, List<Round> read, long personId) {
        if (battery != null) {
            List<Round> inOrder = new ArrayList<>(read);
            inOrder.sort(Comparator.comparing(Round::takenAt));
            record.takeIn(battery, inOrder, personId);
        }
    }

    private ImportReport events(byte[] content, @Nullable Long takenBy) {
        FileRead<EventsCsv.Line> file = EventsCsv.read(text(content));
        Map<String, Battery> known = new HashMap<>();
        Map<String, List<EventsCsv.Line>> byBattery = new LinkedHashMap<>();
        Map<String, Set<BatteryEvent>> onRecord = new HashMap<>();
        for (EventsCsv.Line line : file.lines()) {
            @Nullable Battery battery = battery(line.battery(), line.line(), known, file.problems());
            if (battery != null) {
                Set<BatteryEvent> before = onRecord.computeIfAbsent(
                        line.battery(), c -> new HashSet<>(ledger.events(battery.id(), Instant.EPOCH)));
                check(line, battery, before, file.problems());
                byBattery
                        .computeIfAbsent(line.battery(), c -> new ArrayList<>())
                        .add(line);
            }
        }
        boolean take = takenBy != null && file.problems().count() == 0;
        if (takenBy != null && take) {
            byBattery.forEach((code, lines) -> write(known.get(code), lines, takenBy));
        }
        return report(file, file.lines().size(), 0, byBattery.size(), take);
    }

    private void check(EventsCsv.Line line, Battery battery, Set<BatteryEvent> onRecord, CsvProblems problems) {
        BatteryEvent event = line.event();
        int cells = battery.type().model().cells();
        Integer cell = cell(event);
        if (cell != null && cell > cells) {
            problems.add(new CsvProblem(line.line(), "cell", String.valueOf(cell), "1 to " + cells));
        }
        if (event.at().isAfter(clock.instant())) {
            problems.add(new CsvProblem(line.line(), "at", event.at().toString(), "a time that has come"));
        }
        if (!onRecord.add(event)) {
            problems.add(new CsvProblem(
                    line.line(), "at", event.at().toString(), "an event that is not on record yet; take this one out"));
        }
    }

    private void write(@Nullable Battery battery, List<EventsCsv.Line> lines, long personId) {
        if (battery != null) {
            batteryRecord.record(
                    battery,
                    lines.stream()
                            .sorted(Comparator.comparing(l -> l.event().at()))
                            .map(l -> entry(l, personId))
                            .toList());
        }
    }

    private static @Nullable Integer cell(BatteryEvent event) {
        GivenEvent given = GivenEvent.of(event);
        return given == null ? null : given.cell();
    }

    private static NewEntry entry(EventsCsv.Line line, long personId) {
        return LedgerEvents.entry(line.event(), personId, line.note());
    }

    private static ImportReport report(FileRead<?> file, int lines, int readings, int batteries, boolean taken) {
        return new ImportReport(
                lines,
                readings,
                batteries,
                taken,
                file.problems().count(),
                file.problems().first(),
                file.unknown());
    }
}
