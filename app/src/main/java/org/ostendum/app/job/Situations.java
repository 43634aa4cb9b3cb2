package org.ostendum.app.job;

import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.inventory.Sizes;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.procedure.Situation.Target;
import org.ostendum.core.procedure.Situation.WeightPlate;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** Puts together what the gates look at: the battery's, the room's and the person's real state. */
@Service
public class Situations {
    private final BatteryStates batteryStates;
    private final Batteries batteries;
    private final Stations stations;
    private final Trainings trainings;
    private final Rooms rooms;
    private final Sizes sizes;
    private final DeviceStatuses statuses;
    private final ZoneId zone;

    Situations(
            BatteryStates batteryStates,
            Batteries batteries,
            Stations stations,
            Trainings trainings,
            Rooms rooms,
            Sizes sizes,
            DeviceStatuses statuses,
            ZoneId zone) {
        this.batteryStates = batteryStates;
        this.batteries = batteries;
        this.stations = stations;
        this.trainings = trainings;
        this.rooms = rooms;
        this.sizes = sizes;
        this.statuses = statuses;
        this.zone = zone;
    }

    /** @return the room a battery is worked on in: where it is drawn, else the site's first */
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
                batteryStates.rulesFor(battery),
                battery == null ? null : battery.type().model().duty());
    }

    /** @return the procedure without the questions that the state answers: people are asked only for what nobody knows */
    public ProcedureFile asRunOn(@Nullable Battery battery, ProcedureFile file, Situation situation) {
        return asRunOn(battery, file).without(gate -> Gates.ask(gate, situation) instanceof GateOutcome.Open);
    }

    /** @param machine the battery is to go into; null for none */
    public Situation of(Training needed, @Nullable Battery battery, @Nullable Machine machine, Person person) {
        @Nullable BatteryState state = battery == null ? null : batteryStates.stateOf(battery);
        return of(needed, battery, state, machine, person);
    }

    /** The same of a battery whose state is at hand already. */
    public Situation inState(Training needed, Battery battery, BatteryState state, Person person) {
        return of(needed, battery, state, null, person);
    }

    private Situation of(
            Training needed,
            @Nullable Battery battery,
            @Nullable BatteryState state,
            @Nullable Machine machine,
            Person person) {
        return new Situation(
                batteryStates.instant(),
                zone,
                batteryStates.rulesFor(battery),
                needed,
                trainings.of(person.id()),
                stations(roomOf(battery)),
                battery == null || state == null ? null : subject(battery, state),
                null,
                machine == null ? null : target(machine));
    }

    /** What was checked by hand; a fan whose contact is heard is taken as it stands now. */
    private List<StationState> stations(long room) {
        List<StationState> checked =
                stations.of(room).stream().map(Stations.Station::state).toList();
        return statuses.air(room)
                .map(air -> checked.stream()
                        .map(s -> s.check() == StationCheck.VENTILATION
                                ? new StationState(s.check(), batteryStates.instant(), air.isFanOn(), s.contents())
                                : s)
                        .toList())
                .orElse(checked);
    }

    private Subject subject(Battery battery, BatteryState state) {
        return subject(battery, state, sizes.ofModels().get(battery.type().id()));
    }

    /** @param size of its model; null where nobody has measured */
    public static Subject subject(Battery battery, BatteryState state, @Nullable CaseSize size) {
        return new Subject(
                battery.code(), state, battery.type().weightKg(), battery.type().connector(), size);
    }

    private Target target(Machine machine) {
        @Nullable
        WeightPlate plate = machine.weightFromKg() == null || machine.weightToKg() == null
                ? null
                : new WeightPlate(machine.weightFromKg(), machine.weightToKg());
        return new Target(
                machine.code(),
                machine.volts(),
                machine.connector(),
                plate,
                batteries.inMachine(machine.id()).map(Battery::code).orElse(null),
                sizes.ofBays().get(machine.id()));
    }
}
