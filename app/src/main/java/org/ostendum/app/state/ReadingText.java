package org.ostendum.app.state;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A cell's reading as a line of the ledger keeps it, and back. */
final class ReadingText {
    private ReadingText() {}

    static ObjectNode write(CellReading reading) {
        ObjectNode node = Payload.object();
        node.put("cell", reading.cell());
        put(node, "sg", reading.gravity() == null ? null : reading.gravity().points());
        put(
                node,
                "celsiusTenths",
                reading.temperature() == null ? null : reading.temperature().tenths());
        put(node, "millivolts", reading.volts() == null ? null : reading.volts().millivolts());
        put(node, "level", reading.level() == null ? null : reading.level().name());
        put(node, "colour", reading.colour() == null ? null : reading.colour().name());
        flag(node, "tooLow", reading.tooLow());
        flag(node, "confirmed", reading.confirmed());
        flag(node, "onCharge", reading.onCharge());
        return node;
    }

    private static void put(ObjectNode node, String name, @Nullable Integer value) {
        if (value != null) {
            node.put(name, value);
        }
    }

    private static void put(ObjectNode node, String name, @Nullable String value) {
        if (value != null) {
            node.put(name, value);
        }
    }

    private static void flag(ObjectNode node, String name, boolean value) {
        if (value) {
            node.put(name, true);
        }
    }

    static CellReading read(JsonNode node) {
        @Nullable Integer points = number(node, "sg");
        @Nullable Integer tenths = number(node, "celsiusTenths");
        @Nullable Integer millivolts = number(node, "millivolts");
        return new CellReading(
                node.path("cell").asInt(),
                points == null ? null : SpecificGravity.ofPoints(points),
                node.path("tooLow").asBoolean(),
                node.path("confirmed").asBoolean(),
                tenths == null ? null : new Celsius(tenths),
                millivolts == null ? null : new Volts(millivolts),
                node.path("onCharge").asBoolean(),
                node.has("level") ? Level.valueOf(node.path("level").asString()) : null,
                node.has("colour") ? Colour.valueOf(node.path("colour").asString()) : null);
    }

    private static @Nullable Integer number(JsonNode node, String name) {
        return node.has(name) ? (Integer) node.path(name).asInt() : null;
    }
}
