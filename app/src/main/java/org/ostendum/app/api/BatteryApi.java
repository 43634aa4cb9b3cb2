package org.ostendum.app.api;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.api.StateAnswer.GateAnswer;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.BatteryGatesOf;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** One battery for programs: its state, the same that every screen asks, and what happened to it. */
@RestController
class BatteryApi {
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final BatteryGatesOf gates;
    private final ChargeRuns runs;
    private final DeviceStatuses statuses;
    private final EventTaking taking;

    BatteryApi(
            Batteries batteries,
            BatteryStates batteryStates,
            BatteryGatesOf gates,
            ChargeRuns runs,
            DeviceStatuses statuses,
            EventTaking taking) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.gates = gates;
        this.runs = runs;
        this.statuses = statuses;
        this.taking = taking;
    }

    /** @param asOf an earlier moment, by what is on record now; gates are asked of now alone */
    @GetMapping(path = "/api/v1/batteries/{code}", produces = "application/json")
    StateAnswer state(@PathVariable String code, @RequestParam @Nullable String asOf, Person person, Words words) {
        Battery battery = find(code);
        boolean isNow = asOf == null;
        BatteryState state = asOf == null ? batteryStates.stateOf(battery) : batteryStates.stateAt(battery, time(asOf));
        return StateAnswer.of(
                battery.code(),
                isNow
                        ? new StateAnswer.Where(
                                battery.machineCode() == null ? battery.place() : null,
                                battery.roomCode(),
                                battery.machineCode())
                        : new StateAnswer.Where(
                                state.place().slot(), null, state.place().machine()),
                isNow ? phase(battery) : null,
                state,
                isNow ? gates(battery, person, words) : List.of(),
                words);
    }

    private Instant time(String text) {
        try {
            Instant at = OffsetDateTime.parse(text).toInstant();
            if (!at.isAfter(batteryStates.instant())) {
                return at;
            }
        } catch (DateTimeParseException e) {
            // told below, with a time that lies ahead
        }
        throw new ApiProblem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "asOf",
                "asOf is " + text + ", allowed is a time up to now with its offset, such as 2026-03-31T14:05:00Z.");
    }

    /** @return what its charger says, null where it is not heard */
    private @Nullable String phase(Battery battery) {
        return runs.openOf(battery.id())
                .map(ChargeRun::chargerId)
                .flatMap(statuses::charger)
                .map(status -> status.state().name().toLowerCase(Locale.ROOT))
                .orElse(null);
    }

    private List<GateAnswer> gates(Battery battery, Person person, Words words) {
        return gates.of(battery, person, words).stream()
                .flatMap(job -> job.gates().stream()
                        .map(line -> new GateAnswer(
                                job.job(),
                                line.gate().name().toLowerCase(Locale.ROOT),
                                line.standing().toLowerCase(Locale.ROOT),
                                line.why(),
                                line.opensBy())))
                .toList();
    }

    /** What happened, all of it or nothing; the same key is kept once. */
    @PostMapping(path = "/api/v1/batteries/{code}/events", consumes = "application/json", produces = "application/json")
    Map<String, Object> events(@PathVariable String code, @RequestBody JsonNode body, Person person, Words words) {
        Battery battery = find(code);
        EventTaking.Taken taken = taking.take(battery, body, person, words);
        return Map.of("battery", battery.code(), "kept", taken.kept(), "again", taken.again());
    }

    private Battery find(String code) {
        return batteries
                .byCode(code)
                .orElseThrow(() ->
                        new ApiProblem(HttpStatus.NOT_FOUND, "code", "There is no battery " + code + " in this room."));
    }
}
