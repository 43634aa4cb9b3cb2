package org.ostendum.app.state;

import java.util.Collection;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** Whether the batteries of a room have come to read differently together, so that the hydrometer is to be looked at before any of them. */
@Service
public class RoomShifts {
    /** What a hydrometer that reads low would make one say of a sound battery. */
    private static final Set<FindingCode> SAID_OF_LOW_READINGS =
            EnumSet.of(FindingCode.BATTERY_UNDERCHARGED, FindingCode.BATTERY_STRATIFIED, FindingCode.BATTERY_SULFATED);

    private final Batteries batteries;
    private final BatteryStates states;

    RoomShifts(Batteries batteries, BatteryStates states) {
        this.batteries = batteries;
        this.states = states;
    }

    /** @return how the batteries of one room have come to read differently together; empty where they have not */
    public Optional<SharedShift> among(Collection<BatteryState> ofRoom) {
        return SharedShift.of(ofRoom.stream().map(BatteryState::course).toList(), states.instant());
    }

    /** @return the shift that casts doubt on what is first said of a battery; empty where low readings would not explain that */
    public Optional<SharedShift> doubting(Battery battery, BatteryState state) {
        Long room = battery.roomId();
        boolean isSaid = state.findings().stream()
                .limit(1)
                .anyMatch(open -> SAID_OF_LOW_READINGS.contains(open.finding().code()));
        return room == null || !isSaid
                ? Optional.empty()
                : among(states.statesOf(batteries.inRoom(room)).values())
                        .filter(shift -> shift.isLower() && shift.hasMoved(state.course()));
    }
}
