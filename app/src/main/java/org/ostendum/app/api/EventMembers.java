package org.ostendum.app.api;

import java.util.List;
import org.ostendum.app.event.EventType;
import org.ostendum.app.event.GivenEvent;
import org.ostendum.core.event.BatteryEvent;

/** Reads events out of a program's JSON, in the words of the contract. */
final class EventMembers {
    private static final double MOST = 1_000_000;

    private EventMembers() {}

    /** @throws ApiProblem for what cannot be */
    static EventType type(Members event) {
        return EventType.ofWord(event.text("type")).orElseThrow(() -> event.bad("type", "one of " + EventType.words()));
    }

    /**
     * @param cells of the battery
     * @throws ApiProblem for what cannot be, and for defects and moves, which are kept elsewhere
     */
    static BatteryEvent read(Members event, int cells) {
        EventType type = type(event);
        String unit = event.text("unit");
        if (!unit.isEmpty() && !unit.equalsIgnoreCase(type.unit())) {
            throw event.bad("unit", type.unit().isEmpty() ? "no unit for " + type.word() : type.unit());
        }
        GivenEvent given = new GivenEvent(
                type,
                event.time("at"),
                event.has("quantity") ? (Double) event.number("quantity", -1000, MOST) : null,
                event.has("cell") ? (Integer) event.whole("cell", 1, cells) : null,
                event.text("note"),
                event.text("how"),
                words(event),
                event.text("charger"));
        try {
            return given.event();
        } catch (GivenEvent.Bad bad) {
            throw event.bad(bad.field(), bad.expected());
        }
    }

    private static List<String> words(Members event) {
        return event.texts("evidence", 6);
    }
}
