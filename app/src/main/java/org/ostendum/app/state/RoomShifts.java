package org.ostendum.app.state;

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

    /** @return the shift that casts doubt on what is said of a battery; empty where nothing is said that low readings would explain */
    public Optional<SharedShift> doubting(Battery battery, BatteryState state) {
        Long room = battery.roomId();
        boolean isSaid = state.findings().stream()
                .anyMatch(open -> SAID_OF_LOW_READINGS.contains(open.finding().code()));
        return room == null || !isSaid
                ? Optional.empty()
                : ofRoom(room).filter(shift -> shift.isLower() && shift.hasMoved(state.course()));
    }

    private Optional<SharedShift> ofRoom(long room) {
        return SharedShift.of(
                states.statesOf(batteries.inRoom(room)).values().stream()
                        .map(BatteryState::course)
                        .toList(),
                states.instant());
    }
}
