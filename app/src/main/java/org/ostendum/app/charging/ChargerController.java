package org.ostendum.app.charging;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.charge.ChargerEvents;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.charge.Tariff;
import org.ostendum.core.room.RoomPlan;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** A charger's own record: its charges with what they drew and cost, its troubles, the matches it refused. */
@Controller
class ChargerController {
    private static final Duration YEAR = Duration.ofDays(365);
    private static final int RUNS_SHOWN = 40;
    private static final int LINES_SHOWN = 40;

    private final ChargeRuns runs;
    private final ChargerEvents chargerEvents;
    private final DeviceStatuses statuses;
    private final ChargerMatches matches;
    private final BatteryStates batteryStates;
    private final ZoneId zone;

    ChargerController(
            ChargeRuns runs,
            ChargerEvents chargerEvents,
            DeviceStatuses statuses,
            ChargerMatches matches,
            BatteryStates batteryStates,
            ZoneId zone) {
        this.runs = runs;
        this.chargerEvents = chargerEvents;
        this.statuses = statuses;
        this.matches = matches;
        this.batteryStates = batteryStates;
        this.zone = zone;
    }

    /** @param cost in the site's money; null where nothing metered it */
    record RunLine(ChargeRun run, @Nullable Double kilowattHours, @Nullable Double cost) {}

    /** A year of it. */
    record Year(int charges, double kilowattHours, double cost, double ampHours) {}

    @GetMapping("/chargers/{charger}")
    String charger(RoomPlan.Charger charger, Model page) {
        Instant now = batteryStates.instant();
        Tariff tariff = Tariff.of(batteryStates.rulesFor(null), zone);
        List<RunLine> lines = runs.ofCharger(charger.id(), now.minus(YEAR)).stream()
                .map(run -> line(run, tariff, now))
                .toList();
        page.addAttribute("place", "charging");
        page.addAttribute("charger", charger);
        page.addAttribute("status", statuses.charger(charger.id()).orElse(null));
        page.addAttribute("runs", lines.subList(0, Math.min(RUNS_SHOWN, lines.size())));
        page.addAttribute("year", year(lines));
        page.addAttribute("happenings", chargerEvents.of(charger.id(), LINES_SHOWN));
        page.addAttribute("waiting", matches.waitingFor(charger));
        return "charging/charger";
    }

    private static RunLine line(ChargeRun run, Tariff tariff, Instant now) {
        Double drawn = run.kilowattHours();
        Instant from = run.meter().from();
        if (drawn == null || from == null) {
            return new RunLine(run, drawn, null);
        }
        Instant lamp = run.meter().lampAt();
        Instant ended = run.endedAt();
        Instant to = lamp != null ? lamp : ended != null ? ended : now;
        return new RunLine(run, drawn, tariff.cost(drawn, from, to));
    }

    private static Year year(List<RunLine> lines) {
        return new Year(
                lines.size(),
                lines.stream()
                        .mapToDouble(l -> Objects.requireNonNullElse(l.kilowattHours(), 0.0))
                        .sum(),
                lines.stream()
                        .mapToDouble(l -> Objects.requireNonNullElse(l.cost(), 0.0))
                        .sum(),
                lines.stream()
                        .mapToDouble(
                                l -> Objects.requireNonNullElse(l.run().meter().ampHours(), 0.0))
                        .sum());
    }
}
