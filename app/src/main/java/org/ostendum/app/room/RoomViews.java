package org.ostendum.app.room;

import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Box;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.procedure.DoneAt;
import org.ostendum.app.round.OpenRounds;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.RoomShifts;
import org.ostendum.app.state.ThingsToDo;
import org.ostendum.app.words.Words;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.BatteryState.Phase;
import org.ostendum.core.state.fact.Stage;
import org.springframework.stereotype.Service;

/** Puts together what a room's page shows: the plan with every battery's state, and the next things with their reasons. */
@Service
class RoomViews {
    private static final double DRAWN_WIDTH = 880;

    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final RoomShifts shifts;
    private final OpenRounds openRounds;
    private final Stations stations;
    private final ZoneId zone;

    RoomViews(
            Batteries batteries,
            BatteryStates batteryStates,
            RoomShifts shifts,
            OpenRounds openRounds,
            Stations stations,
            ZoneId zone) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.shifts = shifts;
        this.openRounds = openRounds;
        this.stations = stations;
        this.zone = zone;
    }

    /**
     * What a room's page shows.
     *
     * @param things most urgent first
     * @param inWork who has a round open on which battery
     * @param shift how its batteries have come to read differently together; null where they have not
     * @param unready stations that are overdue or not in order
     */
    record RoomView(
            RoomPlan plan,
            RoomDrawing drawing,
            List<NextThing> things,
            List<InWork> inWork,
            List<Unready> unready,
            @Nullable SharedShift shift,
            int fit) {
        /** @return where somebody goes to do a thing: to the job itself where it is one of his, else to its battery */
        public String at(NextThing thing, Words words) {
            return words.person().worksOnBatteries() ? DoneAt.pageOrBattery(thing) : "/batteries/" + thing.battery();
        }
    }

    /** Something of the room that cannot be relied on. */
    record Unready(String name, StationState.Standing standing) {}

    /** Somebody has a round open on a battery. */
    record InWork(String battery, String person) {}

    private record Standing(Battery battery, BatteryState state, List<NextThing> things) {
        Severity severity() {
            return things.stream().map(NextThing::severity).reduce(state.severity(), Severity::worse);
        }
    }

    RoomView view(RoomPlan plan, Words words) {
        List<Battery> here = batteries.inRoom(plan.id());
        Rulebook book = batteryStates.rulebook();
        Map<Long, BatteryState> states = batteryStates.statesOf(here, book);
        List<Standing> standing =
                here.stream().map(b -> standing(b, states.get(b.id()))).toList();
        Map<Long, Standing> bySlot = standing.stream()
                .filter(s -> s.battery().slotId() != null)
                .collect(Collectors.toMap(s -> slotId(s.battery()), Function.identity()));
        Map<Long, Standing> byMachine = standing.stream()
                .filter(s -> s.battery().machineId() != null)
                .collect(Collectors.toMap(s -> machineId(s.battery()), Function.identity()));
        RoomDrawing drawing = RoomPlotter.plot(
                plan,
                DRAWN_WIDTH,
                (slot, box, plate) -> tile(slot, box, plate, at(slot, bySlot, byMachine), words),
                (slot, charger) -> chargerSays(at(slot, bySlot, byMachine), charger, words));
        Map<Long, List<NextThing>> things =
                standing.stream().collect(Collectors.toMap(s -> s.battery().id(), Standing::things));
        int fit = (int) standing.stream()
                .filter(s -> s.severity() == Severity.FIT && s.state().stage() == Stage.IN_SERVICE)
                .count();
        return new RoomView(
                plan,
                drawing,
                ThingsToDo.of(here, b -> things.getOrDefault(b.id(), List.of())),
                inWork(here),
                unready(plan, book.siteRules()),
                shifts.of(plan.id()).orElse(null),
                fit);
    }

    private List<Unready> unready(RoomPlan plan, Rules rules) {
        return stations.of(plan.id()).stream()
                .map(s -> new Unready(s.name(), s.state().standing(batteryStates.instant(), zone, rules)))
                .filter(u -> !u.standing().canBeReliedOn())
                .toList();
    }

    private static long slotId(Battery battery) {
        Long id = battery.slotId();
        return id == null ? 0 : id;
    }

    private static long machineId(Battery battery) {
        Long id = battery.machineId();
        return id == null ? 0 : id;
    }

    private Standing standing(Battery battery, @Nullable BatteryState known) {
        BatteryState state = known == null ? batteryStates.stateOf(battery) : known;
        return new Standing(battery, state, NextThings.of(battery.code(), state));
    }

    private List<InWork> inWork(List<Battery> here) {
        Map<Long, String> byId = here.stream().collect(Collectors.toMap(Battery::id, Battery::code));
        return openRounds.in(byId.keySet()).entrySet().stream()
                .map(e -> new InWork(byId.getOrDefault(e.getKey(), ""), e.getValue()))
                .sorted(Comparator.comparing(InWork::battery))
                .toList();
    }

    private static @Nullable Standing at(Slot slot, Map<Long, Standing> bySlot, Map<Long, Standing> byMachine) {
        return slot.machine() == null
                ? bySlot.get(slot.id())
                : byMachine.get(slot.machine().id());
    }

    private static Tile tile(
            Slot slot, Box box, Tile.@Nullable ChargerPlate plate, @Nullable Standing standing, Words words) {
        String machine = slot.machine() == null ? null : slot.machine().code();
        if (standing == null) {
            String word = words.text(machine == null ? "room.free" : "room.no-battery");
            return new Tile(box, null, machine, Severity.FIT, word, false, plate, slot.number());
        }
        return new Tile(
                box,
                standing.battery().code(),
                machine,
                standing.severity(),
                word(standing, words),
                standing.state().full().isYes(),
                plate,
                slot.number());
    }

    /** The state in a word: what is most urgent to be done, else where it stands between charge and work. */
    private static String word(Standing standing, Words words) {
        if (standing.state().phase() == Phase.CHARGING && standing.severity() != Severity.STOP) {
            return words.text("phase.CHARGING");
        }
        String promised = standing.state().promisedTo();
        if (promised != null) {
            return words.text("tile.promised", promised);
        } else if (standing.state().inHand() != null) {
            return words.text("tile.in-hand");
        }
        if (standing.state().stage() == Stage.STORED) {
            return words.text("tile.stored");
        }
        if (!standing.things().isEmpty()) {
            NextThing first = standing.things().get(0);
            return words.text("tile." + first.step());
        }
        return standing.state().phase() == Phase.COOLING
                ? words.text(
                        "phase.cooling",
                        (int) (standing.state().heat().coolingLeft().toMinutes() / 60) + 1)
                : words.text("phase." + standing.state().phase());
    }

    private static RoomPlotter.ChargerSays chargerSays(
            @Nullable Standing standing, RoomPlan.Charger charger, Words words) {
        boolean on = standing != null && standing.state().phase() == Phase.CHARGING;
        String state = words.text(on ? "room.charger.on" : "room.charger.off");
        return new RoomPlotter.ChargerSays(charger.code() + " " + state, on);
    }
}
