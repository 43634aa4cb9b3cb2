package org.ostendum.app.charging;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.charging.ChargeViews.ChargeView;
import org.ostendum.app.draw.ChargeCurve;
import org.ostendum.app.draw.ChargePlotter;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.charge.PastCharges;
import org.springframework.stereotype.Service;

/** Draws one charge: as it has gone, as it is expected to go on, and the ones before it. */
@Service
class ChargeCurves {
    private static final int EARLIER = 3;
    /** Charges looked into for readings: what lies further back is another battery. */
    private static final int TRIED = 10;

    private static final double HEIGHT = 420;

    private final BatteryStates batteryStates;
    private final Ledger ledger;
    private final ChargeReadings readings;
    private final RunningCharges running;
    private final ZoneId zone;

    ChargeCurves(
            BatteryStates batteryStates, Ledger ledger, ChargeReadings readings, RunningCharges running, ZoneId zone) {
        this.batteryStates = batteryStates;
        this.ledger = ledger;
        this.readings = readings;
        this.running = running;
        this.zone = zone;
    }

    /** @return empty before the first reading */
    Optional<ChargeCurve> of(ChargeView view) {
        if (view.samples().isEmpty()) {
            return Optional.empty();
        }
        Battery battery = view.battery();
        BatteryModel model = battery.type().model();
        return Optional.of(ChargePlotter.plot(
                new ChargePlotter.Course(view.since(), view.samples()),
                earlier(battery, view.since()),
                model.cells(),
                ChargeSums.finishesFrom(model.capacity()).amperes(),
                view.taken(),
                expected(battery),
                zone,
                ChargingViews.DRAWN_WIDTH,
                HEIGHT));
    }

    /** @return null where it does not charge */
    private ChargePlotter.@Nullable Expected expected(Battery battery) {
        return running.now(List.of(battery), Map.of(battery.id(), batteryStates.stateOf(battery))).stream()
                .map(r -> new ChargePlotter.Expected(batteryStates.instant(), r.earlyEnd(), r.likelyEnd(), r.lateEnd()))
                .findFirst()
                .orElse(null);
    }

    /** The newest charges before it of which anything was read, the newest last. */
    private List<ChargePlotter.Course> earlier(Battery battery, Instant since) {
        PastCharges past = PastCharges.of(
                ledger.charges(battery.id(), batteryStates.instant().minus(ChargeViews.LOOKED_BACK)));
        Deque<ChargePlotter.Course> earlier = new ArrayDeque<>();
        List<PastCharges.Span> spans = past.spans();
        for (int i = spans.size() - 1; i >= Math.max(0, spans.size() - TRIED) && earlier.size() < EARLIER; i--) {
            PastCharges.Span span = spans.get(i);
            List<ChargeSample> samples = readings.samples(battery.id(), span.from(), span.to());
            if (span.from().isBefore(since) && !samples.isEmpty()) {
                earlier.addFirst(new ChargePlotter.Course(span.from(), samples));
            }
        }
        return List.copyOf(earlier);
    }
}
