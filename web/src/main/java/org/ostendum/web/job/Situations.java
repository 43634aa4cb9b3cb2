package org.ostendum.web.job;

import java.time.ZoneId;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeState;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.measure.Round;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.procedure.Situation.BatteryFacts;
import org.ostendum.core.procedure.Situation.WeightPlate;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.Training;
import org.ostendum.web.devices.Hearings;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.procedures.ProcedureFile;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.ClosedRound;
import org.ostendum.web.store.Defects;
import org.ostendum.web.store.Machine;
import org.ostendum.web.store.Person;
import org.ostendum.web.store.Rooms;
import org.ostendum.web.store.Rounds;
import org.ostendum.web.store.Stations;
import org.ostendum.web.store.Trainings;
import org.springframework.stereotype.Service;

/** Puts together what the gates look at: the battery's, the room's and the person's real state. */
@Service
public class Situations {
    private final Bench bench;
    private final Rounds rounds;
    private final Stations stations;
    private final Trainings trainings;
    private final Defects defects;
    private final Rooms rooms;
    private final Hearings hearings;
    private final ZoneId zone;

    Situations(
            Bench bench,
            Rounds rounds,
            Stations stations,
            Trainings trainings,
            Defects defects,
            Rooms rooms,
            Hearings hearings,
            ZoneId zone) {
        this.bench = bench;
        this.rounds = rounds;
        this.stations = stations;
        this.trainings = trainings;
        this.defects = defects;
        this.rooms = rooms;
        this.hearings = hearings;
        this.zone = zone;
    }

    /** @return the room a battery is worked on in: where it is drawn, else the house's first */
    public long roomOf(@Nullable Battery battery) {
        List<Rooms.RoomName> names = rooms.names();
        return names.stream()
                .filter(room -> battery != null && room.code().equals(battery.roomCode()))
                .findFirst()
                .orElseGet(() -> names.get(0))
                .id();
    }

    /** @return the procedure with every limit as the Rulebook holds it for a battery, or for the site */
    public ProcedureFile asRunOn(@Nullable Battery battery, ProcedureFile file) {
        return file.under(
                bench.rulesFor(battery),
                battery == null ? null : battery.type().model().duty());
    }

    /** @param machine the battery is to go into; null for none */
    public Situation of(Training needed, @Nullable Battery battery, @Nullable Machine machine, Person person) {
        Rules rules = bench.rulesFor(battery);
        return new Situation(
                bench.instant(),
                zone,
                rules,
                needed,
                trainings.of(person.id()),
                stations(roomOf(battery)),
                battery == null ? null : facts(battery, machine, rules),
                null);
    }

    /** What was checked by hand; a fan whose contact is heard is taken as it stands now. */
    private List<StationState> stations(long room) {
        List<StationState> checked =
                stations.of(room).stream().map(Stations.Station::state).toList();
        return hearings.air(room)
                .map(air -> checked.stream()
                        .map(s -> s.check() == StationCheck.VENTILATION
                                ? new StationState(s.check(), bench.instant(), air.isFanOn(), s.contents())
                                : s)
                        .toList())
                .orElse(checked);
    }

    private BatteryFacts facts(Battery battery, @Nullable Machine machine, Rules rules) {
        BatteryState state = bench.stateOf(battery);
        List<ClosedRound> last = rounds.history(battery.id(), 1);
        @Nullable Round round = last.isEmpty() ? null : last.get(0).past().round();
        Gravities gravities = round == null ? null : Gravities.of(round, rules.temperatureCorrection());
        return new BatteryFacts(
                battery.code(),
                battery.type().model().kind().hasCaps(),
                state.happenings(),
                charge(battery, state, rules),
                stillHeld(state),
                round == null ? null : round.temperature(),
                round == null ? null : round.takenAt(),
                gravities == null || gravities.isEmpty()
                        ? null
                        : Collections.min(gravities.byCell().values()),
                defects.openOf(battery.id(), battery.machineId()).stream()
                        .map(Defects.Defect::kind)
                        .collect(Collectors.toSet()),
                battery.type().weightKg(),
                plate(machine));
    }

    private ChargeState charge(Battery battery, BatteryState state, Rules rules) {
        return ChargeState.of(
                state.happenings(),
                bench.instant(),
                rules,
                hearings.tag(battery.id()).map(TagStatus::celsius).orElse(null),
                hearings.air(roomOf(battery)).map(AirStatus::celsius).orElse(null));
    }

    /** Plates that were covered since the round no longer stand against a charge. */
    private static List<Finding> stillHeld(BatteryState state) {
        boolean covered = Happenings.follows(state.happenings().water(), state.roundTakenAt());
        return state.verdict().findings().stream()
                .filter(f -> !(covered && f.next() == NextStep.COVER_PLATES))
                .toList();
    }

    private static @Nullable WeightPlate plate(@Nullable Machine machine) {
        return machine == null || machine.weightFromKg() == null || machine.weightToKg() == null
                ? null
                : new WeightPlate(machine.code(), machine.weightFromKg(), machine.weightToKg());
    }
}
