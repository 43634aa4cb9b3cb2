package org.ostendum.web.charging;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeState;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.gas.GasBudget;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.charging.ChargingView.CoolingLine;
import org.ostendum.web.charging.ChargingView.EqualiseLine;
import org.ostendum.web.charging.ChargingView.ReadyLine;
import org.ostendum.web.charging.ChargingView.Running;
import org.ostendum.web.devices.Hearings;
import org.ostendum.web.draw.GasDrawing;
import org.ostendum.web.draw.GasPlotter;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.Rulebook;
import org.springframework.stereotype.Service;

/** Puts together what charges, cools and is ready, and what the room's air will hold. */
@Service
class ChargingDesk {
    static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 240;
    private static final Duration LEARNED_FROM = Duration.ofDays(120);

    private final Batteries batteries;
    private final Bench bench;
    private final OnCharge onCharge;
    private final RoomGas gas;
    private final Hearings hearings;
    private final ZoneId zone;

    ChargingDesk(Batteries batteries, Bench bench, OnCharge onCharge, RoomGas gas, Hearings hearings, ZoneId zone) {
        this.batteries = batteries;
        this.bench = bench;
        this.onCharge = onCharge;
        this.gas = gas;
        this.hearings = hearings;
        this.zone = zone;
    }

    /** Each battery with its state and where it stands between charge and work. */
    private record Line(Battery battery, BatteryState state, Rules rules, ChargeState charge) {}

    /** @param fanOff whether the gas is to be foreseen without the fan */
    ChargingView view(boolean fanOff) {
        Instant now = bench.instant();
        List<Line> lines = lines(now);
        Map<Long, BatteryState> states = new HashMap<>();
        lines.forEach(line -> states.put(line.battery().id(), line.state()));
        List<Running> running = onCharge.now(lines.stream().map(Line::battery).toList(), states);
        RoomGas.Ahead ahead = gas.ahead(running, fanOff);
        double alarm = percent(RuleKey.HYDROGEN_ALARM);
        return new ChargingView(
                running,
                cooling(lines, now),
                ready(lines),
                equalise(lines, now),
                ahead.moments().isEmpty() ? null : drawing(ahead.moments(), running, alarm),
                GasBudget.reaches(ahead.moments(), alarm).orElse(null),
                100 * ahead.most(),
                (int) Math.round(ahead.air()),
                gas.measured(),
                (int) lines.stream()
                        .filter(ChargingDesk::isReady)
                        .filter(l -> !isFit(l))
                        .count());
    }

    private double percent(RuleKey rule) {
        return bench.rulebook().siteRules().value(rule).doubleValue() / 100;
    }

    private List<Line> lines(Instant now) {
        List<Battery> all = batteries.all();
        Rulebook book = bench.rulebook();
        Map<Long, BatteryState> states = bench.statesOf(all, book);
        AirStatus air = gas.measured();
        @Nullable Celsius room = air == null ? null : air.celsius();
        return all.stream()
                .map(battery -> {
                    BatteryState state = Objects.requireNonNull(states.get(battery.id()));
                    Rules rules = book.rulesFor(battery.type().id());
                    return new Line(
                            battery,
                            state,
                            rules,
                            ChargeState.of(state.happenings(), now, rules, celsius(battery), room));
                })
                .toList();
    }

    private GasDrawing drawing(List<GasBudget.Moment> moments, List<Running> running, double alarm) {
        List<String> names = running.stream().map(r -> r.battery().code()).toList();
        return GasPlotter.plot(moments, names, alarm, percent(RuleKey.HYDROGEN_STOP), zone, DRAWN_WIDTH, DRAWN_HEIGHT);
    }

    private List<CoolingLine> cooling(List<Line> lines, Instant now) {
        List<CoolingLine> cooling = new ArrayList<>();
        for (Line line : lines) {
            Instant end = line.charge().since();
            if (line.charge().phase() == ChargeState.Phase.COOLING && end != null) {
                Duration left = line.charge().left();
                cooling.add(new CoolingLine(line.battery(), end, now.plus(left), left, celsius(line.battery())));
            }
        }
        cooling.sort(Comparator.comparing(CoolingLine::readyAt));
        return cooling;
    }

    private @Nullable Celsius celsius(Battery battery) {
        return hearings.tag(battery.id()).map(TagStatus::celsius).orElse(null);
    }

    private static boolean isReady(Line line) {
        return line.charge().phase() == ChargeState.Phase.READY
                && line.battery().slotId() != null;
    }

    /** Whether nothing has to be done before it works. */
    private static boolean isFit(Line line) {
        return line.state().verdict().severity().compareTo(Severity.ACT) < 0;
    }

    /** First in, first out: what has waited longest goes first, for each voltage and duty. */
    private static Map<String, List<ReadyLine>> ready(List<Line> lines) {
        Map<String, List<ReadyLine>> byKind = new TreeMap<>();
        for (Line line : lines) {
            Instant since = line.charge().since();
            if (isReady(line) && isFit(line) && since != null) {
                BatteryModel model = line.battery().type().model();
                byKind.computeIfAbsent(
                                model.nominalVolts() + " V "
                                        + Math.round(model.capacity().ampHours()) + " Ah",
                                k -> new ArrayList<>())
                        .add(new ReadyLine(line.battery(), since));
            }
        }
        byKind.values().forEach(list -> list.sort(Comparator.comparing(ReadyLine::since)));
        return byKind;
    }

    private List<EqualiseLine> equalise(List<Line> lines, Instant now) {
        return lines.stream()
                .flatMap(line -> EqualiseProposal.of(
                        line.battery().type().model().kind(),
                        line.state().verdict().findings(),
                        line.state().happenings().equaliseEnd(),
                        now.minus(LEARNED_FROM),
                        now,
                        line.rules())
                        .map(proposal -> new EqualiseLine(line.battery(), proposal))
                        .stream())
                .sorted(Comparator.comparing(line -> line.proposal().reason()))
                .toList();
    }
}
