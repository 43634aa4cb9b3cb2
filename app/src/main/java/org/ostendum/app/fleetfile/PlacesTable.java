package org.ostendum.app.fleetfile;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Places;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.inventory.Stands;
import org.ostendum.core.people.Person;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Charger;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.stereotype.Component;

/** Places in their stands, each with the charger over it. */
@Component
class PlacesTable implements FleetTable {
    private static final int MOST_CM = 20000;
    private static final int MOST_TIERS = 9;
    private static final int MOST_ON_STAND = 60;

    private final Rooms rooms;
    private final Stands stands;
    private final Places places;
    private final Chargers chargers;
    private final Awaited awaited;

    PlacesTable(Rooms rooms, Stands stands, Places places, Chargers chargers, Awaited awaited) {
        this.rooms = rooms;
        this.stands = stands;
        this.places = places;
        this.chargers = chargers;
        this.awaited = awaited;
    }

    @Override
    public FleetFile file() {
        return FleetFile.PLACES;
    }

    @Override
    public List<String> columns() {
        return List.of("place", "room", "stand", "tier", "x_cm", "y_cm", "charger", "kind");
    }

    @Override
    public List<String> required() {
        return List.of("place");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<String, String> waiting = awaited.of(Awaited.What.CHARGER);
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (RoomPlan room : rooms.plans()) {
            for (Stand stand : room.stands()) {
                for (int i = 0; i < stand.slots().size(); i++) {
                    Slot slot = stand.slots().get(i);
                    lines.put(slot.code(), line(room, stand, slot, StandShape.corner(stand, i), waiting));
                }
            }
        }
        return lines;
    }

    private static List<String> line(
            RoomPlan room, Stand stand, Slot slot, StandShape.Corner corner, Map<String, String> waiting) {
        Charger charger = slot.charger();
        return List.of(
                slot.code(),
                room.code(),
                stand.name(),
                String.valueOf(slot.tier()),
                String.valueOf(corner.x()),
                String.valueOf(corner.y()),
                charger == null ? waiting.getOrDefault(slot.code(), "") : charger.code(),
                FleetText.word(stand.kind()));
    }

    /** A line as read; corner null where the file does not say. */
    private record Wanted(
            CsvRow row, String code, RoomPlan room, String stand, int tier, StandShape.@Nullable Corner corner) {}

    @Override
    public void take(List<CsvRow> rows, Person by) {
        List<RoomPlan> plans = rooms.plans();
        Map<String, List<String>> before = lines();
        Map<String, List<Wanted>> byStand = new LinkedHashMap<>();
        for (CsvRow row : rows) {
            read(row, plans, before)
                    .ifPresent(w -> byStand.computeIfAbsent(w.room().code() + "\n" + w.stand(), s -> new ArrayList<>())
                            .add(w));
        }
        byStand.values().forEach(wanted -> takeStand(wanted, before));
        rows.stream().filter(CsvRow::isSound).forEach(this::hang);
        rooms.plans().forEach(this::makeRoom);
    }

    private Optional<Wanted> read(CsvRow row, List<RoomPlan> plans, Map<String, List<String>> before) {
        String code = row.needed("place");
        if (code.length() > Places.LONGEST_CODE) {
            row.bad("place", "at most " + Places.LONGEST_CODE + " characters");
        }
        List<String> was = before.get(code);
        @Nullable RoomPlan room = room(row, plans, was == null ? null : was.get(1));
        String stand = row.kept("stand", was == null ? StandShape.standOf(code) : was.get(2), 60);
        int tier = row.whole("tier", 1, MOST_TIERS, was == null ? 1 : Integer.parseInt(was.get(3)));
        row.oneOf("kind", FleetText.words(StandKind.class), StandKind.STAND);
        StandShape.@Nullable Corner corner = corner(row);
        return row.isSound() && room != null
                ? Optional.of(new Wanted(row, code, room, stand, tier, corner))
                : Optional.empty();
    }

    private static @Nullable RoomPlan room(CsvRow row, List<RoomPlan> plans, @Nullable String was) {
        String code = row.text("room");
        if (code.isEmpty() && was == null && plans.size() == 1) {
            return plans.get(0);
        }
        String wanted = code.isEmpty() && was != null ? was : code;
        Optional<RoomPlan> found =
                plans.stream().filter(p -> p.code().equals(wanted)).findFirst();
        if (found.isEmpty()) {
            row.bad(
                    "room",
                    plans.isEmpty()
                            ? "a room that is on record; send rooms.csv first"
                            : "one of the rooms "
                                    + String.join(
                                            ", ",
                                            plans.stream().map(RoomPlan::code).toList()));
        }
        return found.orElse(null);
    }

    private static StandShape.@Nullable Corner corner(CsvRow row) {
        if (row.text("x_cm").isEmpty() && row.text("y_cm").isEmpty()) {
            return null;
        }
        return new StandShape.Corner(row.whole("x_cm", 0, MOST_CM), row.whole("y_cm", 0, MOST_CM));
    }

    private void takeStand(List<Wanted> wanted, Map<String, List<String>> before) {
        Wanted first = wanted.get(0);
        Stand stand = stands.named(first.room().id(), first.stand()).orElseGet(() -> addStand(wanted));
        Map<Integer, String> numbers = new HashMap<>();
        first.room().stands().stream()
                .filter(s -> s.id() == stand.id())
                .flatMap(s -> s.slots().stream())
                .forEach(s -> numbers.put(s.number(), s.code()));
        for (Wanted place : wanted) {
            put(place, stand, numbers);
        }
        reshape(stand, wanted, before);
    }

    private Stand addStand(List<Wanted> wanted) {
        Wanted first = wanted.get(0);
        String code = StandShape.freeCode(
                first.stand(), c -> stands.byCode(first.room().id(), c).isPresent());
        StandShape.Rectangle shape = StandShape.below(
                rooms.byCode(first.room().code()).map(RoomPlan::stands).orElse(List.of()), wanted.size());
        Stand stand = shape.stand(0, code, first.stand(), StandKind.STAND);
        long id = stands.add(first.room().id(), stand);
        return shape.stand(id, code, first.stand(), StandKind.STAND);
    }

    private void put(Wanted wanted, Stand stand, Map<Integer, String> numbers) {
        Optional<Places.Place> was = places.byCode(wanted.code());
        int number = StandShape.number(wanted.code(), numbers, MOST_ON_STAND);
        if (number == 0) {
            wanted.row().bad("stand", "a stand with at most " + MOST_ON_STAND + " places");
            return;
        }
        boolean stays = was.isPresent() && was.get().standId() == stand.id();
        int kept = stays ? was.get().number() : number;
        numbers.put(kept, wanted.code());
        if (was.isEmpty()) {
            places.add(stand.id(), kept, wanted.code(), wanted.tier());
        } else {
            places.change(was.get().id(), stand.id(), kept, wanted.tier());
            if (!stays) {
                stands.removeIfEmpty(was.get().standId());
            }
        }
    }

    /** Where the file says where the places are, and not just what is on record, the stand lies around them. */
    private void reshape(Stand stand, List<Wanted> wanted, Map<String, List<String>> before) {
        StandKind kind = wanted.get(0).row().oneOf("kind", FleetText.words(StandKind.class), stand.kind());
        List<StandShape.Corner> corners =
                wanted.stream().flatMap(w -> Stream.ofNullable(w.corner())).toList();
        boolean moves = wanted.stream().anyMatch(w -> w.corner() != null && !isWhereItWas(w, before));
        StandShape.Rectangle shape =
                moves && !corners.isEmpty() ? StandShape.around(corners, stand) : StandShape.Rectangle.of(stand);
        stands.change(shape.stand(stand.id(), stand.code(), stand.name(), kind));
    }

    private static boolean isWhereItWas(Wanted wanted, Map<String, List<String>> before) {
        List<String> was = before.get(wanted.code());
        StandShape.Corner corner = wanted.corner();
        return was != null
                && corner != null
                && was.get(4).equals(String.valueOf(corner.x()))
                && was.get(5).equals(String.valueOf(corner.y()));
    }

    /** Hangs the charger over its place; one that no file has brought yet is awaited. */
    private void hang(CsvRow row) {
        if (!row.has("charger")) {
            return;
        }
        String place = row.text("place");
        String code = row.text("charger");
        Places.Place slot = places.byCode(place).orElseThrow();
        awaited.forget(Awaited.What.CHARGER, place);
        Optional<Charger> named = code.isEmpty() ? Optional.empty() : chargers.byCode(code);
        chargers.over(slot.id())
                .filter(over -> !over.code().equals(code))
                .ifPresent(over -> chargers.place(over.id(), null, false, null));
        if (named.isPresent()) {
            chargers.place(named.get().id(), slot.id(), false, null);
        } else if (!code.isEmpty()) {
            awaited.add(Awaited.What.CHARGER, place, code);
        }
    }

    /** A room is at least as large as what stands in it. */
    private void makeRoom(RoomPlan room) {
        int right = room.rightOfStands();
        int front = room.frontOfStands();
        if (right > room.widthCm() || front > room.depthCm()) {
            rooms.change(room.id(), room.name(), Math.max(right, room.widthCm()), Math.max(front, room.depthCm()));
        }
    }
}
