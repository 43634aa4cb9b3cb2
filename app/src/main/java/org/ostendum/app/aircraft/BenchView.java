package org.ostendum.app.aircraft;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.WrittenLine;
import org.ostendum.core.aircraft.Regulator;
import org.ostendum.core.aircraft.Serviceable;

/**
 * An aircraft battery on the bench.
 *
 * @param asked what has to hold before it flies, with the answers of its state
 * @param unsigned lines that nobody has signed yet
 * @param flown hours since it was last charged; null where it is in no aircraft
 */
record BenchView(
        Battery battery,
        List<Serviceable.Asked> asked,
        List<WrittenLine> unsigned,
        List<Signing.Signature> signatures,
        @Nullable Double flown) {
    public boolean isServiceable() {
        return Serviceable.isServiceable(asked);
    }

    public Regulator regulator() {
        return new Regulator(0, battery.type().model().cells());
    }
}
