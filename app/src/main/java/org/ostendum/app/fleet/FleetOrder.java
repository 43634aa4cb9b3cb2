package org.ostendum.app.fleet;

import java.util.Comparator;
import java.util.Objects;

/** By what a fleet is ranked. */
public enum FleetOrder {
    NEED,
    DAYS,
    READ,
    CODE;

    Comparator<FleetLine> comparator() {
        return first().thenComparing(line -> line.battery().code());
    }

    private Comparator<FleetLine> first() {
        return switch (this) {
            case NEED ->
                Comparator.comparing(FleetLine::severity)
                        .thenComparing(FleetLine::overdue)
                        .reversed();
            case DAYS ->
                Comparator.comparing((FleetLine line) -> Objects.requireNonNullElse(line.daysLeft(), Long.MAX_VALUE));
            case READ ->
                Comparator.comparing(
                        (FleetLine line) -> line.state().roundAt(), Comparator.nullsFirst(Comparator.naturalOrder()));
            case CODE -> Comparator.comparing((FleetLine line) -> line.battery().code());
        };
    }
}
