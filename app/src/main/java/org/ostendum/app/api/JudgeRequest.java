package org.ostendum.app.api;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.ReadingNote;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.fact.Sheet;
import org.springframework.http.HttpStatus;
import tools.jackson.databind.JsonNode;

/** A case read from a program's call. */
final class JudgeRequest {
    private static final int MOST_CELLS = 144;
    private static final int MOST_ROUNDS = 600;
    private static final int MOST_EVENTS = 20_000;
    /** Half the width of a full window where only its middle is told, points (rule of thumb). */
    private static final int HALF_WINDOW = 10;

    private static final int RECHARGE_ABOVE_EMPTY = 40;

    private final Members body;
    private final BatteryModel model;
    private final Rules rules;

    private JudgeRequest(JsonNode body) {
        this.body = Members.of(body);
        this.model = model(this.body.object("model"));
        this.rules = this.body.has("rules") ? rules(this.body.object("rules")) : Rules.standard();
    }

    /** @throws ApiProblem for what does not fit */
    static BatteryState read(JsonNode body, ZoneId zone) {
        return new JudgeRequest(body).battery(zone);
    }

    private BatteryState battery(ZoneId zone) {
        Instant asOf = body.has("asOf") ? body.time("asOf") : Instant.MAX;
        List<BatteryEvent> events = new ArrayList<>();
        body.list("events", MOST_EVENTS).forEach(event -> events.add(event(event)));
        List<Round> rounds =
                body.list("rounds", MOST_ROUNDS).stream().map(this::round).toList();
        rounds.forEach(round -> events.add(new BatteryEvent.RoundTaken(round)));
        events.removeIf(event -> event.at().isAfter(asOf));
        if (events.stream().noneMatch(BatteryEvent.RoundTaken.class::isInstance)) {
            throw body.bad("rounds", "at least one round taken up to asOf");
        }
        BatteryFold fold = BatteryFold.of(new Sheet(model, rules), zone, events);
        Instant last = Objects.requireNonNull(fold.snapshot().upTo());
        return fold.at(asOf.equals(Instant.MAX) ? last : asOf, Surroundings.NOTHING);
    }

    private static BatteryModel model(Members model) {
        int cells = model.whole("cells", 1, MOST_CELLS);
        Duty duty = model.choice("use", Duty.class, Duty.MOTIVE);
        return new BatteryModel(
                "asked",
                model.choice("kind", CellKind.class, CellKind.FLOODED),
                duty,
                layout(model, cells),
                AmpHours.of(model.number("capacityAh", 1, 5000)),
                model.has("rateHours") ? model.number("rateHours", 0.1, 120) : 6,
                marks(model, duty));
    }

    /** Cells in one row, or in blocks one after the other, so that a tap shows. */
    private static CellLayout layout(Members model, int cells) {
        int perBlock = model.has("cellsPerBlock") ? model.whole("cellsPerBlock", 1, 6) : 1;
        if (cells % perBlock != 0) {
            throw model.bad("cellsPerBlock", "a part of " + cells + " cells without a rest");
        }
        if (perBlock == 1) {
            return TrayPattern.ROWS_FROM_LEFT.layout(1, cells);
        }
        String blocks = IntStream.rangeClosed(1, cells / perBlock)
                .mapToObj(block -> block + ">")
                .collect(Collectors.joining(" "));
        return LayoutText.parse(blocks, perBlock);
    }

    private static GravityMarks marks(Members model, Duty duty) {
        if (!model.has("sgFull")) {
            return GravityMarks.usualFor(duty);
        }
        int full = points(model, "sgFull");
        int empty = model.has("sgEmpty") ? points(model, "sgEmpty") : full - 145;
        if (empty + RECHARGE_ABOVE_EMPTY >= full - HALF_WINDOW) {
            throw model.bad("sgEmpty", "at least 0.050 below sgFull");
        }
        return GravityMarks.ofPoints(empty, empty + RECHARGE_ABOVE_EMPTY, full - HALF_WINDOW, full + HALF_WINDOW);
    }

    /** Both ways of writing are taken: 1.265 and 1265. */
    private static int points(Members members, String name) {
        double value = members.number(name, 1, 1400);
        int points = (int) Math.round(value < 2 ? value * 1000 : value);
        if (!SpecificGravity.isPossible(points)) {
            throw members.bad(name, "a gravity from 1.000 to 1.400");
        }
        return points;
    }

    private static Rules rules(Members given) {
        Map<RuleKey, BigDecimal> values = new EnumMap<>(RuleKey.class);
        for (Map.Entry<String, JsonNode> entry : given.entries()) {
            RuleKey key = RuleKey.find(entry.getKey())
                    .orElseThrow(() -> new ApiProblem(
                            HttpStatus.UNPROCESSABLE_CONTENT,
                            "rules." + entry.getKey(),
                            "There is no rule " + entry.getKey() + "; the page Rules lists them with their keys."));
            given.number(entry.getKey(), key.least().doubleValue(), key.most().doubleValue());
            values.put(key, entry.getValue().decimalValue());
        }
        return Rules.standard().with(values);
    }

    private Round round(Members round) {
        List<CellReading> readings = new ArrayList<>();
        BitSet read = new BitSet();
        for (Members cell : round.list("cells", MOST_CELLS)) {
            CellReading reading = reading(cell);
            if (read.get(reading.cell())) {
                throw cell.bad("cell", "each cell once in a round");
            }
            read.set(reading.cell());
            readings.add(reading);
        }
        readings.sort(Comparator.comparing(CellReading::cell));
        return new Round(
                round.time("takenAt"),
                round.choice("state", RoundState.class, RoundState.UNKNOWN),
                celsius(round.numberIfGiven("temperatureC", -40, 80)),
                readings);
    }

    private CellReading reading(Members cell) {
        ReadingNote note = ReadingNote.of(cell.text("note"));
        Double volts = cell.numberIfGiven("volts", -3, 4);
        Double level = cell.numberIfGiven("levelMm", -200, 300);
        return new CellReading(
                cell.whole("cell", 1, model.cells()),
                cell.has("sg") ? SpecificGravity.ofPoints(points(cell, "sg")) : null,
                false,
                cell.flag("confirmed"),
                celsius(cell.numberIfGiven("temperatureC", -40, 80)),
                volts == null ? null : Volts.of(volts),
                cell.flag("onCharge"),
                level == null ? null : Level.ofMillimetres(level, model.levels()),
                note.colour());
    }

    private static @Nullable Celsius celsius(@Nullable Double degrees) {
        return degrees == null ? null : Celsius.of(degrees);
    }

    private BatteryEvent event(Members event) {
        return EventMembers.read(event, model.cells());
    }
}
