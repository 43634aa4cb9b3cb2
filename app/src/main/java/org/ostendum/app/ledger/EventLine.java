package org.ostendum.app.ledger;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;

/**
 * How one kind of event is told by a line, and read back from it.
 *
 * @param kind of the line
 * @param cell that the line is about; null for none
 * @param quantity the line's figure; null for none
 * @param keeps what else the line keeps
 * @param reads the event again; null where the line does not tell enough
 */
record EventLine<E extends BatteryEvent, P extends LedgerPayload>(
        EntryKind kind,
        Class<E> event,
        Class<P> payload,
        Cell<E> cell,
        Quantity<E> quantity,
        Function<E, P> keeps,
        Reading<E, P> reads) {

    /** The cell of an event. */
    interface Cell<E> {
        @Nullable
        Integer of(E event);
    }

    /** The figure of an event, in the unit of its line. */
    interface Quantity<E> {
        @Nullable
        Number of(E event);
    }

    /** The event that a line tells. */
    interface Reading<E, P> {
        @Nullable
        E of(Line line, P kept);
    }

    /** What a line tells beside what it keeps as JSON. */
    record Line(Instant at, @Nullable Integer cell, @Nullable BigDecimal quantity) {
        /** @return null where there is no figure, or 0 */
        @Nullable
        AmpHours ampHours() {
            return isNothing() ? null : AmpHours.of(Math.min(AmpHours.MOST, figure()));
        }

        /** @return null where there is no figure, or 0 */
        @Nullable
        Millilitres millilitres() {
            return isNothing() ? null : Millilitres.of(Math.min(Millilitres.MOST, figure()));
        }

        /** @return null where there is no figure */
        @Nullable
        Duration hours() {
            return quantity == null ? null : Duration.ofSeconds(Math.round(figure() * 3600));
        }

        /** @return null where there is no figure */
        @Nullable
        Celsius celsius() {
            return quantity == null ? null : Celsius.of(Math.max(Celsius.LEAST, Math.min(Celsius.MOST, figure())));
        }

        /** @return 0 where there is none */
        double figure() {
            return quantity == null ? 0 : quantity.doubleValue();
        }

        private boolean isNothing() {
            return quantity == null || quantity.signum() == 0;
        }
    }

    /** A line of nothing but its moment. */
    static <E extends BatteryEvent> EventLine<E, LedgerPayload.Nothing> plain(
            EntryKind kind, Class<E> event, Function<Instant, E> made) {
        return keeping(
                kind,
                event,
                LedgerPayload.Nothing.class,
                any -> new LedgerPayload.Nothing(),
                (line, kept) -> made.apply(line.at()));
    }

    /** A line of its moment, its cell and its figure. */
    static <E extends BatteryEvent> EventLine<E, LedgerPayload.Nothing> figures(
            EntryKind kind, Class<E> event, Function<Line, @Nullable E> made) {
        return keeping(
                kind,
                event,
                LedgerPayload.Nothing.class,
                any -> new LedgerPayload.Nothing(),
                (line, kept) -> made.apply(line));
    }

    static <E extends BatteryEvent, P extends LedgerPayload> EventLine<E, P> keeping(
            EntryKind kind, Class<E> event, Class<P> payload, Function<E, P> keeps, Reading<E, P> reads) {
        return new EventLine<>(kind, event, payload, any -> null, any -> null, keeps, reads);
    }

    EventLine<E, P> ofCell(Cell<E> one) {
        return new EventLine<>(kind, event, payload, one, quantity, keeps, reads);
    }

    EventLine<E, P> withQuantity(Quantity<E> one) {
        return new EventLine<>(kind, event, payload, cell, one, keeps, reads);
    }

    /** @return null where the line does not tell enough */
    @Nullable
    BatteryEvent read(Line line, String kept) {
        return reads.of(line, LedgerText.read(kept, payload));
    }

    /**
     * @param told an event of this kind
     * @param remark of the person, empty for none; an event that keeps one of its own keeps that
     */
    NewEntry write(BatteryEvent told, long personId, String remark) {
        E one = event.cast(told);
        Number figure = quantity.of(one);
        return new NewEntry(
                kind,
                one.at(),
                personId,
                cell.of(one),
                figure == null ? null : BigDecimal.valueOf(figure.doubleValue()).setScale(2, RoundingMode.HALF_UP),
                null,
                LedgerText.write(LedgerPayload.Remark.of(remark), keeps.apply(one)));
    }
}
