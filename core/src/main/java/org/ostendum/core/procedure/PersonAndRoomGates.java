package org.ostendum.core.procedure;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Message;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.StationState.Standing;

/** Gates on who works and on what stands ready in the room. */
final class PersonAndRoomGates {
    private PersonAndRoomGates() {}

    /** Trained people only, by job; an expired training can be looked at, not worked on. */
    static GateOutcome trained(Situation situation) {
        if (situation.trained().counts(situation.needed(), situation.today(), situation.rules())) {
            return GateOutcome.OPEN;
        }
        LocalDate until = situation.trained().until(situation.needed(), situation.rules());
        Message why = until == null
                ? Message.of("gate.TRAINED.never", situation.needed())
                : Message.of("gate.TRAINED.expired", situation.needed(), until);
        return GateOutcome.shut(
                why,
                Message.of("gate.TRAINED.remedy"),
                null,
                new Figure("training", situation.needed().name()));
    }

    /** No cap comes off while help for eyes and skin is not known to work. */
    static GateOutcome stationReady(Situation situation) {
        boolean hasEyewash = situation.stations().stream().anyMatch(s -> s.check() == StationCheck.EYEWASH_FLUSH);
        if (!hasEyewash) {
            return GateOutcome.shut(
                    Message.of("gate.STATION_READY.none", StationCheck.EYEWASH_FLUSH),
                    Message.of("gate.STATION_READY.remedy"),
                    "station-check",
                    new Figure("station", StationCheck.EYEWASH_FLUSH.name()));
        }
        Optional<StationState> worst = situation.stations().stream()
                .filter(s -> s.check().isNeededBeforeCaps())
                .filter(s -> !standing(s, situation).canBeReliedOn())
                .max(Comparator.comparing(s -> standing(s, situation)));
        if (worst.isEmpty()) {
            return GateOutcome.OPEN;
        }
        Standing standing = standing(worst.get(), situation);
        return GateOutcome.shut(
                Message.of("gate.STATION_READY." + standing, worst.get().check()),
                Message.of("gate.STATION_READY.remedy"),
                "station-check",
                new Figure("station", worst.get().check().name()),
                new Figure("standing", standing.name()));
    }

    /** Gassing cells want air: 29 CFR 1910.178(g), IEC 62485-3. */
    static GateOutcome fanOn(Situation situation) {
        return situation.stations().stream()
                .filter(s -> s.check() == StationCheck.VENTILATION)
                .filter(s -> s.checkedAt() != null && !s.sound())
                .findFirst()
                .map(s -> GateOutcome.shut(
                        Message.of("gate.FAN_ON.off"),
                        Message.of("gate.FAN_ON.remedy"),
                        "station-check",
                        new Figure("station", s.check().name())))
                .orElse(GateOutcome.OPEN);
    }

    /** A room that lists no changer changes by hand, or has written none down. */
    static GateOutcome changerReady(Situation situation) {
        List<StationState> changers = situation.stations().stream()
                .filter(s -> s.check() == StationCheck.CHANGER)
                .toList();
        boolean none = !changers.isEmpty() && changers.stream().noneMatch(StationState::sound);
        return none
                ? GateOutcome.shut(
                        Message.of("gate.CHANGER_READY.shut"),
                        Message.of("gate.CHANGER_READY.remedy"),
                        "station-check",
                        new Figure("changers", changers.size()))
                : GateOutcome.OPEN;
    }

    private static Standing standing(StationState state, Situation situation) {
        return state.standing(situation.now(), situation.zone(), situation.rules());
    }
}
