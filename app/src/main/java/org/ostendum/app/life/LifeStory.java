package org.ostendum.app.life;

import java.time.Duration;
import java.time.Instant;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.ostendum.app.aircraft.Signing;
import org.ostendum.app.battery.LedgerLine;
import org.ostendum.app.capacity.CapacityTest;
import org.ostendum.app.capacity.CapacityTests;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.life.LifeDocument.Part;
import org.ostendum.app.past.WorkCosts;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.seal.SealedLines;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** Tells one battery's life from its ledger: who it is, where it was, what it gave, what was done, who answers for it. */
@Service
class LifeStory {
    private static final int EVERY_LINE = 10_000;
    private static final double WIDTH = 500;
    private static final double HEIGHT = 150;
    private static final double LEAST = 1080;
    private static final double MOST = 1320;

    private final Ledger ledger;
    private final BatteryStates states;
    private final Rounds rounds;
    private final CapacityTests tests;
    private final Signing signing;
    private final PastCheck past;
    private final Photos photos;
    private final WorkCosts costs;
    private final SealedLines sealed;

    LifeStory(
            Ledger ledger,
            BatteryStates states,
            Rounds rounds,
            CapacityTests tests,
            Signing signing,
            PastCheck past,
            Photos photos,
            WorkCosts costs,
            SealedLines sealed) {
        this.ledger = ledger;
        this.states = states;
        this.rounds = rounds;
        this.tests = tests;
        this.signing = signing;
        this.past = past;
        this.photos = photos;
        this.costs = costs;
        this.sealed = sealed;
    }

    LifeDocument of(Battery battery, Words words) {
        List<LedgerEntry> entries = ledger.ofBattery(battery.id(), null, EVERY_LINE);
        List<Part> parts = new ArrayList<>();
        parts.add(identity(battery, words));
        add(
                parts,
                "life.part.places",
                lines(entries, words, EntryKind.ADDED, EntryKind.MOVED, EntryKind.RETIRED),
                words);
        parts.add(cells(battery, words));
        add(parts, "life.part.capacity", capacity(battery, words), words);
        add(parts, "life.part.charges", charges(battery, words), words);
        add(
                parts,
                "life.part.repairs",
                lines(
                        entries,
                        words,
                        EntryKind.CELL_REPLACED,
                        EntryKind.CELL_MARKED,
                        EntryKind.CELL_BRIDGED,
                        EntryKind.BLOCKS_MOVED,
                        EntryKind.KIT_FITTED,
                        EntryKind.KIT_TAKEN_OFF,
                        EntryKind.ACID_ADJUSTED,
                        EntryKind.DEFECT,
                        EntryKind.DEFECT_RIGHTED),
                words);
        add(parts, "life.part.costs", paid(battery, words), words);
        add(
                parts,
                "life.part.stages",
                lines(
                        entries,
                        words,
                        EntryKind.COMMISSIONED,
                        EntryKind.HELD,
                        EntryKind.RELEASED,
                        EntryKind.STORED,
                        EntryKind.NOTE),
                words);
        add(
                parts,
                "life.part.photos",
                photos.ofBattery(battery.id()).stream()
                        .map(photo -> words.text("life.photo", photo.name(), photo.addedBy()))
                        .toList(),
                words);
        add(parts, "life.part.overrides", overrides(entries, words), words);
        add(parts, "life.part.signatures", signatures(battery, words), words);
        parts.add(chain(battery, words));
        return new LifeDocument(words.text("life.title", battery.code()), parts);
    }

    private static void add(List<Part> parts, String heading, List<String> lines, Words words) {
        if (!lines.isEmpty()) {
            parts.add(Part.of(words.text(heading), lines));
        }
    }

    private Part identity(Battery battery, Words words) {
        BatteryModel model = battery.type().model();
        BatteryState state = states.stateOf(battery);
        List<String> lines = new ArrayList<>();
        lines.add(words.text(
                "life.identity",
                battery.serial(),
                model.code(),
                String.valueOf(model.nominalVolts()),
                String.valueOf(Math.round(model.capacity().ampHours())),
                words.name(model.duty())));
        lines.add(words.text(
                "life.service",
                battery.madeOn() == null ? "–" : words.date(battery.madeOn()),
                words.date(battery.inServiceOn()),
                words.name(state.stage())));
        lines.add(words.text("life.now", words.say(state.verdict().sentence())));
        return Part.of(words.text("life.part.identity"), lines);
    }

    private List<String> paid(Battery battery, Words words) {
        List<WorkCosts.Cost> all = costs.of(List.of(battery.id()));
        List<String> lines = new ArrayList<>();
        all.forEach(cost ->
                lines.add(words.text("life.cost", words.date(cost.at()), cost.title(), words.money(cost.amount()))));
        if (all.size() > 1) {
            double sum = all.stream().mapToDouble(WorkCosts.Cost::amount).sum();
            lines.add(words.text("life.cost.all", words.money(sum)));
        }
        return lines;
    }

    private static List<String> lines(List<LedgerEntry> entries, Words words, EntryKind... kinds) {
        List<EntryKind> wanted = List.of(kinds);
        List<String> lines = new ArrayList<>();
        for (LedgerEntry entry : entries) {
            if (wanted.contains(entry.kind())) {
                lines.add(line(entry, words));
            }
        }
        return reversed(lines);
    }

    private static List<String> reversed(List<String> newestFirst) {
        List<String> lines = new ArrayList<>(newestFirst);
        Collections.reverse(lines);
        return lines;
    }

    private static String line(LedgerEntry entry, Words words) {
        LedgerLine line = LedgerLine.of(entry, words);
        return words.moment(entry.happenedAt()) + "  " + words.name(entry.kind())
                + (line.detail().isEmpty() ? "" : ": " + line.detail()) + " (" + entry.person() + ")";
    }

    /** Every cell's gravity over every round, and how many rounds there are. */
    private Part cells(Battery battery, Words words) {
        List<PastRound> all = rounds.history(battery.id(), EVERY_LINE).stream()
                .map(ClosedRound::past)
                .toList();
        List<String> lines = List.of(words.text("life.rounds", all.size()));
        if (all.size() < 2) {
            return Part.of(words.text("life.part.cells"), lines);
        }
        Instant first = all.get(0).round().takenAt();
        double whole = Math.max(
                1,
                Duration.between(first, all.get(all.size() - 1).round().takenAt())
                        .toSeconds());
        Map<Integer, StringBuilder> curves = new TreeMap<>();
        for (PastRound round : all) {
            double x = WIDTH * Duration.between(first, round.round().takenAt()).toSeconds() / whole;
            for (CellReading reading : round.round().readings()) {
                if (reading.gravity() != null) {
                    double points = reading.gravity().points();
                    double up = (Math.max(LEAST, Math.min(MOST, points)) - LEAST) / (MOST - LEAST);
                    curves.computeIfAbsent(reading.cell(), cell -> new StringBuilder())
                            .append(String.format(Locale.ROOT, "%.1f,%.1f ", x, HEIGHT * (1 - up)));
                }
            }
        }
        return new Part(
                words.text("life.part.cells"),
                lines,
                curves.values().stream().map(c -> c.toString().strip()).toList());
    }

    private List<String> capacity(Battery battery, Words words) {
        return tests.of(battery.id()).stream()
                .filter(test -> !test.isOpen())
                .map(test -> words.text(
                        "life.capacity",
                        words.date(test.begun().at()),
                        words.name(test.sheet().kind()),
                        part(test),
                        test.end() == null ? "" : words.name(test.end().kind()),
                        test.begun().by()))
                .toList();
    }

    private static String part(CapacityTest test) {
        return test.part() == null ? "–" : Math.round(test.part() * 100) + " %";
    }

    /** By year and month: how many charges and how much water. */
    private List<String> charges(Battery battery, Words words) {
        record Sum(int charges, int early, int water) {}
        Map<YearMonth, Sum> months = new TreeMap<>();
        ledger.events(battery.id(), Instant.EPOCH).forEach(event -> {
            YearMonth month = YearMonth.from(event.at().atZone(words.zone()));
            Sum before = months.getOrDefault(month, new Sum(0, 0, 0));
            if (event instanceof ChargeEnded ended) {
                months.put(
                        month,
                        new Sum(
                                before.charges() + 1,
                                before.early() + (ended.ending().isBeforeFull() ? 1 : 0),
                                before.water()));
            } else if (event instanceof Watered water) {
                months.put(month, new Sum(before.charges(), before.early(), before.water() + water.millilitres()));
            }
        });
        return months.entrySet().stream()
                .map(month -> words.text(
                        "life.month",
                        words.month(month.getKey()),
                        month.getValue().charges(),
                        month.getValue().early(),
                        words.volume(month.getValue().water())))
                .toList();
    }

    private static List<String> overrides(List<LedgerEntry> entries, Words words) {
        return reversed(entries.stream()
                .filter(entry -> entry.payload().contains("\"overridden\":[{"))
                .map(entry -> line(entry, words))
                .toList());
    }

    private List<String> signatures(Battery battery, Words words) {
        return signing.of(battery).stream()
                .sorted(Comparator.comparing(Signing.Signature::seq))
                .map(signature -> words.text(
                        signature.holds() ? "aircraft.signature" : "aircraft.signature.broken",
                        words.moment(signature.line().entry().happenedAt()),
                        signature.licence(),
                        signature.covers(),
                        signature
                                .seal()
                                .substring(0, Math.min(12, signature.seal().length()))))
                .toList();
    }

    private Part chain(Battery battery, Words words) {
        var check = past.check(battery.id());
        List<String> lines = new ArrayList<>();
        lines.add(words.text(
                check.isWhole() ? "life.chain.whole" : "life.chain.broken",
                check.lines(),
                check.brokenAt() == null ? 0 : check.brokenAt()));
        sealed.of(battery.id())
                .ifPresent(seal -> lines.addAll(List.of(
                        words.text("life.chain.sealed", words.date(seal.at()), seal.line()),
                        words.text("life.chain.line", seal.line(), seal.hash()),
                        words.text("life.chain.seal", seal.seal()))));
        return Part.of(words.text("life.part.chain"), lines);
    }
}
