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
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.charge.Cooling;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.charger.ChargerMatch;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.charger.Misfit;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.gas.GasBudget;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.charging.ChargingView.CoolingLine;
import org.ostendum.web.charging.ChargingView.EqualiseLine;
import org.ostendum.web.charging.ChargingView.ReadyLine;
import org.ostendum.web.charging.ChargingView.Running;
import org.ostendum.web.draw.GasDrawing;
import org.ostendum.web.draw.GasPlotter;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.BatteryState;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.RoomPlan;
import org.ostendum.web.store.Rooms;
import org.ostendum.web.store.Rulebook;
import org.springframework.stereotype.Service;

/** Puts together what charges, cools and is ready, and what the room's air will hold. */
@Service
class ChargingDesk {
    static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 200;
    private static final Duration LEARNED_FROM = Duration.ofDays(120);
    private static final Duration AHEAD = Duration.ofHours(12);
    /** A charge begins to gas when so much of its time is gone (rule of thumb). */
    private static final double GASSES_FROM = 0.6;

    private static final double USUAL_RATE = 0.16;
    private static final Celsius ROOM = Celsius.of(20);

    private final Batteries batteries;
    private final Bench bench;
    private final Ledger ledger;
    private final Rooms rooms;
    private final ZoneId zone;

    ChargingDesk(Batteries batteries, Bench bench, Ledger ledger, Rooms rooms, ZoneId zone) {
        this.batteries = batteries;
        this.bench = bench;
        this.ledger = ledger;
        this.rooms = rooms;
        this.zone = zone;
    }

    /** Each battery with its state and where it stands between charge and work. */
    private record Line(Battery battery, BatteryState state, Rules rules, ChargeState charge) {}

    /** @param fanOff whether the gas is to be foreseen without the fan */
    ChargingView view(boolean fanOff) {
        Instant now = bench.instant();
        List<Line> lines = lines(now);
        List<RoomPlan> plans = rooms.plans();
        Map<Long, RoomPlan.Charger> chargers = chargers(plans);
        List<Running> running = lines.stream()
                .filter(line -> line.charge().phase() == ChargeState.Phase.CHARGING)
                .map(line -> running(line, chargers, now))
                .sorted(Comparator.comparing(r -> r.left().likely()))
                .toList();
        double air = fanOff ? 0 : airWanted(plans);
        List<GasBudget.Moment> moments = plans.isEmpty() || running.isEmpty()
                ? List.of()
                : new GasBudget(new CubicMetres(plans.get(0).cubicMetres()), new CubicMetres(air), ROOM)
                        .ahead(running.stream().map(ChargingDesk::source).toList(), 0, now, AHEAD);
        double alarm = percent(RuleKey.HYDROGEN_ALARM);
        return new ChargingView(
                running,
                cooling(lines, now),
                ready(lines),
                equalise(lines, now),
                moments.isEmpty() ? null : drawing(moments, running, alarm),
                GasBudget.reaches(moments, alarm).orElse(null),
                100
                        * moments.stream()
                                .mapToDouble(GasBudget.Moment::fraction)
                                .max()
                                .orElse(0),
                (int) Math.round(air),
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
        return all.stream()
                .map(battery -> {
                    BatteryState state = Objects.requireNonNull(states.get(battery.id()));
                    Rules rules = book.rulesFor(battery.type().id());
                    return new Line(battery, state, rules, ChargeState.of(state.happenings(), now, rules));
                })
                .toList();
    }

    private static Map<Long, RoomPlan.Charger> chargers(List<RoomPlan> plans) {
        Map<Long, RoomPlan.Charger> bySlot = new HashMap<>();
        plans.stream().flatMap(RoomPlan::slots).forEach(slot -> {
            RoomPlan.Charger charger = slot.charger();
            if (charger != null) {
                bySlot.put(slot.id(), charger);
            }
        });
        return bySlot;
    }

    private Running running(Line line, Map<Long, RoomPlan.Charger> chargers, Instant now) {
        Battery battery = line.battery();
        BatteryModel model = battery.type().model();
        RoomPlan.@Nullable Charger charger = battery.slotId() == null ? null : chargers.get(battery.slotId());
        Instant since = Objects.requireNonNull(line.charge().since());
        PastCharges past = ledger.charges(battery.id(), now.minus(LEARNED_FROM));
        Amperes amperes =
                new Amperes(charger == null ? USUAL_RATE * model.capacity().ampHours() : charger.amps());
        TimeToFull.Estimate whole = new TimeToFull(model.capacity(), amperes, past.finished()).estimate(past.taken());
        return new Running(
                battery,
                charger,
                since,
                whole,
                whole.after(Duration.between(since, now)),
                past.finished().size(),
                charger == null ? List.of() : misfits(charger, battery, line.rules()));
    }

    static List<Misfit> misfits(RoomPlan.Charger charger, Battery battery, Rules rules) {
        ChargerSheet sheet = ChargerSheet.ofPlate(charger.code(), charger.cells(), new Amperes(charger.amps()));
        return ChargerMatch.of(sheet, battery.type().model(), ChargerMatch.Surroundings.UNKNOWN, rules);
    }

    private static GasBudget.Source source(Running running) {
        BatteryModel model = running.battery().type().model();
        long seconds = Math.round(running.whole().likely().toSeconds() * GASSES_FROM);
        Instant end = running.since().plus(running.whole().late());
        return new GasBudget.Source(
                running.battery().code(),
                model.cells(),
                ChargeSums.finish(model.capacity()),
                running.since().plusSeconds(seconds),
                end);
    }

    /** What all chargers of the rooms want when they finish at once. */
    private static double airWanted(List<RoomPlan> plans) {
        return plans.stream()
                .flatMap(RoomPlan::chargers)
                .mapToDouble(c -> Gassing.airPerHour(c.cells(), new Amperes(c.amps() / 4.0))
                        .cubicMetres())
                .sum();
    }

    private GasDrawing drawing(List<GasBudget.Moment> moments, List<Running> running, double alarm) {
        List<String> names = running.stream().map(r -> r.battery().code()).toList();
        return GasPlotter.plot(moments, names, alarm, percent(RuleKey.HYDROGEN_STOP), zone, DRAWN_WIDTH, DRAWN_HEIGHT);
    }

    private static List<CoolingLine> cooling(List<Line> lines, Instant now) {
        List<CoolingLine> cooling = new ArrayList<>();
        for (Line line : lines) {
            Instant end = line.charge().since();
            if (line.charge().phase() == ChargeState.Phase.COOLING && end != null) {
                Cooling clock = Cooling.of(end, now, null, null, line.rules());
                cooling.add(new CoolingLine(line.battery(), end, clock.readyAt(), clock.left(now)));
            }
        }
        cooling.sort(Comparator.comparing(CoolingLine::readyAt));
        return cooling;
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
