package org.ostendum.app.fleetfile;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Places;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan.Charger;
import org.springframework.stereotype.Component;

/** Chargers by their plates, over a place or on board of a machine. */
@Component
class ChargersTable implements FleetTable {
    private static final int MOST_VOLTS = 288;
    /** Amperes for each Ah of the largest battery that a charger is usually bought for (rule of thumb). */
    private static final double USUAL_AMPERES_PER_AH = 0.16;

    private final Chargers chargers;
    private final Places places;
    private final Machines machines;
    private final Models models;
    private final Awaited awaited;

    ChargersTable(Chargers chargers, Places places, Machines machines, Models models, Awaited awaited) {
        this.chargers = chargers;
        this.places = places;
        this.machines = machines;
        this.models = models;
        this.awaited = awaited;
    }

    @Override
    public FleetFile file() {
        return FleetFile.CHARGERS;
    }

    @Override
    public List<String> columns() {
        return List.of(
                "charger",
                "place",
                "volts",
                "amperes",
                "ah_from",
                "ah_to",
                "connector",
                "kind",
                "on_board",
                "machine",
                "opportunity");
    }

    @Override
    public List<String> required() {
        return List.of("charger");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<String, String> waiting = awaited.of(Awaited.What.MACHINE);
        Map<Long, String> over = chargers.places();
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (Charger charger : chargers.all()) {
            ChargerSheet sheet = charger.sheet();
            String machine =
                    charger.onBoardOf() == null ? waiting.getOrDefault(charger.code(), "") : charger.onBoardOf();
            lines.put(
                    charger.code(),
                    List.of(
                            charger.code(),
                            over.getOrDefault(charger.id(), ""),
                            sheet.cells().stream()
                                    .sorted()
                                    .map(c -> String.valueOf(2 * c))
                                    .collect(Collectors.joining(" ")),
                            FleetText.number(sheet.amperes().amperes()),
                            FleetText.number((double) Math.round(sheet.least().ampHours())),
                            FleetText.number((double) Math.round(sheet.most().ampHours())),
                            sheet.connector(),
                            FleetText.word(sheet.kind()),
                            FleetText.yes(chargers.isOnBoard(charger.id())),
                            machine,
                            FleetText.yes(sheet.opportunity())));
        }
        return lines;
    }

    @Override
    public void take(List<CsvRow> rows, Person by) {
        // Two that change places in one file must not be in each other's way.
        for (CsvRow row : rows) {
            if (row.has("place")) {
                chargers.byCode(row.text("charger")).ifPresent(c -> chargers.leave(c.id(), row.text("place")));
            }
        }
        rows.forEach(this::take);
    }

    private void take(CsvRow row) {
        String code = row.code("charger");
        @Nullable Charger was = row.isSound() ? chargers.byCode(code).orElse(null) : null;
        Optional<ChargerSheet> sheet = sheet(row, code, was == null ? null : was.sheet());
        if (sheet.isEmpty()) {
            return;
        }
        boolean onBoard = isOnBoard(row, was != null && chargers.isOnBoard(was.id()));
        @Nullable Long slot = place(row, was, onBoard);
        if (!row.isSound()) {
            return;
        }
        long id = was == null ? chargers.add(null, sheet.get()) : was.id();
        if (was != null && !was.sheet().equals(sheet.get())) {
            chargers.change(id, chargers.version(id), sheet.get());
        }
        chargers.place(id, slot, onBoard, onBoard ? machine(row, code, was) : null);
    }

    private static boolean isOnBoard(CsvRow row, boolean was) {
        String text = row.text("on_board").toLowerCase(java.util.Locale.ROOT);
        boolean names = !Set.of("", "yes", "no", "true", "false", "1", "0").contains(text);
        return names || row.yes("on_board", was || !row.text("machine").isEmpty());
    }

    private @Nullable Long place(CsvRow row, @Nullable Charger was, boolean onBoard) {
        String named = row.text("place");
        if (onBoard) {
            return null;
        } else if (!row.has("place")) {
            return was == null ? null : chargers.slotOf(was.id());
        } else if (named.isEmpty()) {
            return null;
        }
        Optional<Places.Place> place = places.byCode(named);
        if (place.isEmpty()) {
            row.bad("place", "a place that is on record; send places.csv first");
            return null;
        }
        chargers.over(place.get().id())
                .filter(over -> !over.code().equals(row.text("charger")))
                .ifPresent(over -> row.bad("place", "a place without a charger; " + over.code() + " hangs there"));
        return place.get().id();
    }

    /** On board of which machine: by a column of its own, in the place or in on_board itself. */
    private @Nullable Long machine(CsvRow row, String code, @Nullable Charger was) {
        String said = row.text("on_board");
        String named = !row.text("machine").isEmpty()
                ? row.text("machine")
                : said.matches("(?i)|yes|no|true|false|1|0") ? row.text("place") : said;
        if (named.isEmpty() && was != null && !row.has("machine")) {
            return was.onBoardOf() == null
                    ? null
                    : machines.byCode(was.onBoardOf()).map(Machine::id).orElse(null);
        }
        awaited.forget(Awaited.What.MACHINE, code);
        Optional<Machine> machine = machines.byCode(named);
        if (machine.isEmpty() && !named.isEmpty()) {
            awaited.add(Awaited.What.MACHINE, code, named);
        }
        return machine.map(Machine::id).orElse(null);
    }

    private Optional<ChargerSheet> sheet(CsvRow row, String code, @Nullable ChargerSheet was) {
        Set<Integer> cells = cells(row, was);
        OptionalDouble typed = row.number("amperes", 1, 1000);
        double to = row.number("ah_to", 1, 5000).orElse(0);
        double from = row.number("ah_from", 0, 5000).orElse(-1);
        ChargerKind kind = row.oneOf(
                "kind", FleetText.words(ChargerKind.class), was == null ? ChargerKind.TAPER_WITH_FINISH : was.kind());
        if (!row.isSound()) {
            return Optional.empty();
        }
        double amperes = typed.orElseGet(
                () -> was == null ? usualAmperes(cells, to) : was.amperes().amperes());
        ChargerSheet plate = ChargerSheet.ofPlate(code, cells.iterator().next(), new Amperes(amperes));
        AmpHours most = to > 0 ? AmpHours.of(to) : was == null ? plate.most() : was.most();
        AmpHours least = from >= 0 ? AmpHours.of(from) : was == null ? plate.least() : was.least();
        if (least.ampHours() > most.ampHours()) {
            row.bad("ah_from", "at most ah_to, " + FleetText.number(most.ampHours()));
            return Optional.empty();
        }
        ChargerSheet usual = was == null ? plate : was;
        ChargerSheet sheet = new ChargerSheet(
                code,
                kind,
                cells,
                usual.kinds(),
                row.has("connector") ? row.kept("connector", "", 40) : usual.connector(),
                new Amperes(amperes),
                least,
                most,
                usual.sensesFrom(),
                row.yes("opportunity", usual.opportunity()));
        return row.isSound() ? Optional.of(sheet) : Optional.empty();
    }

    /** "24 36" for one that finds out by itself. */
    private Set<Integer> cells(CsvRow row, @Nullable ChargerSheet was) {
        String text = row.text("volts");
        if (text.isEmpty()) {
            return was == null ? onlyVoltage(row) : was.cells();
        }
        String[] volts = text.split("[\\s;,/]+", -1);
        boolean even = Arrays.stream(volts)
                .allMatch(v -> v.matches("\\d{1,3}") && Integer.parseInt(v) % 2 == 0 && Integer.parseInt(v) >= 2);
        if (!even || Arrays.stream(volts).anyMatch(v -> Integer.parseInt(v) > MOST_VOLTS)) {
            row.bad("volts", "even volts from 2 to " + MOST_VOLTS + ", several with spaces between: 24 36");
            return Set.of();
        }
        return Arrays.stream(volts).map(v -> Integer.parseInt(v) / 2).collect(Collectors.toSet());
    }

    /** A wrong voltage hurts: it is taken for granted only where all models of the site have the same. */
    private Set<Integer> onlyVoltage(CsvRow row) {
        Set<Integer> all = models.all().stream().map(m -> m.model().cells()).collect(Collectors.toSet());
        if (all.size() != 1) {
            row.bad("volts", "the volts of its plate, such as 48");
        }
        return all;
    }

    private double usualAmperes(Set<Integer> cells, double to) {
        double largest = to > 0
                ? to
                : models.all().stream()
                        .map(StoredModel::model)
                        .filter(m -> cells.contains(m.cells()))
                        .mapToDouble(m -> m.capacity().ampHours())
                        .max()
                        .orElse(500);
        return Math.max(1, Math.round(USUAL_AMPERES_PER_AH * largest));
    }

    /** Joins chargers to what has come since. */
    void join(Machine machine) {
        for (String holder : awaited.holders(Awaited.What.MACHINE, machine.code())) {
            chargers.byCode(holder).ifPresent(c -> chargers.place(c.id(), null, true, machine.id()));
            awaited.forget(Awaited.What.MACHINE, holder);
        }
    }

    /** Hangs chargers over the places that have named them. */
    void hang() {
        awaited.of(Awaited.What.CHARGER).forEach((place, code) -> {
            Charger charger = chargers.byCode(code).orElse(null);
            Places.Place slot = places.byCode(place).orElse(null);
            if (charger != null && slot != null) {
                if (chargers.slotOf(charger.id()) == null
                        && chargers.over(slot.id()).isEmpty()) {
                    chargers.place(charger.id(), Objects.requireNonNull(slot).id(), false, null);
                }
                awaited.forget(Awaited.What.CHARGER, place);
            }
        });
    }
}
