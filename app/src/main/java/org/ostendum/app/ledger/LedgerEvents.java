package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;

/** Lines of the ledger as the events they tell, and back. Rounds and defects have tables of their own. */
public final class LedgerEvents {
    /** Kinds whose lines change what is known of a battery. */
    static final Set<EntryKind> TELLING = EventLines.kinds();

    private LedgerEvents() {}

    /** @return empty for a line that changes nothing that is known of the battery */
    public static Optional<BatteryEvent> event(NewEntry entry) {
        return event(entry.kind(), entry.happenedAt(), entry.cell(), entry.quantity(), entry.payload());
    }

    /**
     * @param payload JSON
     * @return empty for a line that changes nothing that is known of the battery
     */
    static Optional<BatteryEvent> event(
            EntryKind kind, Instant at, @Nullable Integer cell, @Nullable BigDecimal quantity, String payload) {
        EventLine<?, ?> line = EventLines.of(kind);
        return line == null
                ? Optional.empty()
                : Optional.ofNullable(line.read(new EventLine.Line(at, cell, quantity), payload));
    }

    /**
     * @param remark of the person, empty for none
     * @return the line that tells an event
     * @throws IllegalArgumentException for one that has a table of its own: rounds, defects
     */
    public static NewEntry entry(BatteryEvent event, long personId, String remark) {
        EventLine<?, ?> line = EventLines.of(event);
        if (line == null) {
            throw new IllegalArgumentException("No line tells " + event.word());
        }
        return line.write(event, personId, remark);
    }
}
