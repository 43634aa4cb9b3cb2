package org.ostendum.app.procedure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.core.commission.ChargeRow;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.equalise.EqualiseEnd;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.voltage.TopLeak;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.PackVolts;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Rows of a job as they are kept, and read back into the quantities of the core. */
public final class Rows {
    private Rows() {}

    /** A row of a first charge; gravity 0 for none drawn. */
    public static String charge(double volts, double amps, Celsius temperature, int points, boolean levelSet) {
        var row = Payload.object().put("volts", volts).put("amps", amps).put("celsius", temperature.degrees());
        if (points > 0) {
            row.put("sg", points);
        }
        if (levelSet) {
            row.put("level", true);
        }
        return row.toString();
    }

    /** The lowest cell of a battery that is equalised. */
    public static String equalise(int points, Celsius temperature) {
        return Payload.object()
                .put("sg", points)
                .put("celsius", temperature.degrees())
                .toString();
    }

    /** The row as it was read earlier, from a sheet of paper. */
    public static String readAt(String row, Instant at) {
        return ((ObjectNode) Payload.read(row)).put("at", at.toString()).toString();
    }

    private static Instant readAt(RunEvent event, JsonNode row) {
        return row.has("at") ? Instant.parse(row.path("at").asString()) : event.at();
    }

    public static List<EqualiseEnd.Hourly> equalise(Run run, TemperatureCorrection correction) {
        return run.rows().stream()
                .map(event -> {
                    JsonNode row = Payload.read(event.value());
                    Celsius temperature = Celsius.of(row.path("celsius").asDouble());
                    SpecificGravity read =
                            SpecificGravity.ofPoints(row.path("sg").asInt());
                    return new EqualiseEnd.Hourly(
                            readAt(event, row), correction.correct(read, temperature), temperature);
                })
                .sorted(Comparator.comparing(EqualiseEnd.Hourly::at))
                .toList();
    }

    public static String leak(int cell, Volts volts) {
        return Payload.object()
                .put("cell", cell)
                .put("millivolts", volts.millivolts())
                .toString();
    }

    public static List<ChargeRow> charge(Run run, TemperatureCorrection correction) {
        List<ChargeRow> rows = new ArrayList<>();
        for (RunEvent event : run.rows()) {
            JsonNode row = Payload.read(event.value());
            Celsius temperature = Celsius.of(row.path("celsius").asDouble());
            rows.add(new ChargeRow(
                    readAt(event, row),
                    Volts.of(row.path("volts").asDouble()),
                    row.path("amps").asDouble(),
                    temperature,
                    row.has("sg")
                            ? correction.correct(
                                    SpecificGravity.ofPoints(row.path("sg").asInt()), temperature)
                            : null));
        }
        rows.sort(Comparator.comparing(ChargeRow::at));
        return rows;
    }

    public static boolean levelSet(Run run) {
        return run.rows().stream().anyMatch(e -> Payload.read(e.value()).has("level"));
    }

    /** @param block 0 for the string */
    public static String blockVolts(int block, Volts volts) {
        return Payload.object()
                .put("block", block)
                .put("millivolts", volts.millivolts())
                .toString();
    }

    /** What was read of a pack; a block read again counts as it was read last. */
    public static PackVolts packVolts(Run run, Pack pack) {
        Map<Integer, Volts> read = new TreeMap<>();
        run.rows().stream()
                .map(e -> Payload.read(e.value()))
                .filter(row -> row.has("block"))
                .forEach(row -> read.put(
                        row.path("block").asInt(),
                        new Volts(row.path("millivolts").asInt())));
        @Nullable Volts string = read.remove(0);
        return new PackVolts(pack, read, string);
    }

    public static List<TopLeak.Place> leaks(Run run) {
        return run.rows().stream()
                .map(e -> Payload.read(e.value()))
                .filter(row -> row.has("millivolts"))
                .map(row -> new TopLeak.Place(
                        row.path("cell").asInt(),
                        new Volts(row.path("millivolts").asInt())))
                .toList();
    }
}
