package org.ostendum.app.job;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.procedure.Procedure.Happening;
import org.ostendum.core.procedure.Procedure.Records;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.StepEffect;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.water.InjectorKind;

/** What the end of a job means for its battery, as events. */
final class JobEvents {
    private JobEvents() {}

    /** @param state of the battery before */
    static List<BatteryEvent> of(Job job, Run run, BatteryState state, Instant at) {
        if (run.stopped().isPresent()) {
            return stopped(run, state, at);
        }
        Records records = run.procedure().records();
        return records == null ? List.of() : finished(job, run, records, at);
    }

    /** A job that was stopped did not do what it was begun for; but whatever stopped a charge, the charger is off. */
    private static List<BatteryEvent> stopped(Run run, BatteryState state, Instant at) {
        Records records = run.procedure().records();
        boolean atCharger = run.procedure().steps().stream().anyMatch(step -> step.effect() == StepEffect.CHARGE_BEGUN)
                || (records != null && records.happening() == Happening.CHARGE_END);
        return atCharger && state.isCharging()
                ? List.of(new ChargeEnded(at, Ending.STOPPED, Set.of(), null))
                : List.of();
    }

    private static List<BatteryEvent> finished(Job job, Run run, Records records, Instant at) {
        @Nullable Double quantity = quantity(run, records);
        return switch (records.happening()) {
            case WATER -> List.of(new BatteryEvent.Watered(at, millilitres(quantity), null, Fill.TO_MARK));
            case COVER -> List.of(new BatteryEvent.Watered(at, millilitres(quantity), null, Fill.COVERED));
            case CHARGE_END -> List.of(chargeEnd(run, records, quantity, at));
            case EQUALISE_END -> List.of(new BatteryEvent.Equalised(at, hours(quantity)));
            case WASH -> List.of(new BatteryEvent.Washed(at));
            case DREW_OFF -> List.of(new BatteryEvent.DrewOff(at, millilitres(quantity), null));
            case ACID_ADJUSTED ->
                List.of(new BatteryEvent.AcidAdjusted(at, quantity == null ? null : (Integer) quantity.intValue()));
            case CHARGER_CHECKED -> List.of(new BatteryEvent.ChargerChecked(at));
            case CELL_REPLACED ->
                quantity == null
                        ? List.of()
                        : List.of(new BatteryEvent.CellReplaced(at, quantity.intValue(), serial(run, records)));
            case CELL_BRIDGED -> quantity == null ? List.of() : List.of(bridged(run, records, quantity.intValue(), at));
            case BLOCKS_MOVED -> List.of(new BatteryEvent.BlocksMoved(at, Swaps.of(run)));
            case KIT_FITTED -> List.of(kitFitted(run, records, quantity, at));
            case KIT_LOOKED_AT -> List.of(new BatteryEvent.KitLookedAt(at));
            case KIT_TAKEN_OFF -> List.of(new BatteryEvent.KitTakenOff(at));
            case MOVED -> List.of(new BatteryEvent.Moved(at, null, job.machine()));
            case COMMISSIONED -> commissioned(at);
            case STORED -> List.of(new BatteryEvent.PutInStore(at));
            case BROUGHT_BACK -> List.of(new BatteryEvent.Released(at));
        };
    }

    /** The rows of a first charge come to an end when voltage and gravity have stood. */
    private static List<BatteryEvent> commissioned(Instant at) {
        List<BatteryEvent> events = new ArrayList<>();
        events.add(
                new ChargeEnded(at, Ending.FULL, EnumSet.of(FullSign.EQUAL_GRAVITIES, FullSign.STEADY_VOLTAGE), null));
        events.add(new BatteryEvent.Commissioned(at));
        return events;
    }

    /** The answer names what speaks for full, or how the charge ended before. */
    private static ChargeEnded chargeEnd(Run run, Records records, @Nullable Double quantity, Instant at) {
        String answer = records.evidenceFrom() == null ? "" : run.value(records.evidenceFrom());
        @Nullable AmpHours returned = quantity == null || quantity == 0 ? null : AmpHours.of(quantity);
        return Ending.ofWord(answer)
                .map(ending -> new ChargeEnded(at, ending, Set.of(), returned))
                .orElseGet(() -> FullSign.ofWord(answer)
                        .map(sign -> new ChargeEnded(at, Ending.FULL, Set.of(sign), returned))
                        .orElseGet(() -> ChargeEnded.unstated(at, returned)));
    }

    /** Its probe looks into one cell; 0, or nothing said, for a kit without one. */
    private static BatteryEvent kitFitted(Run run, Records records, @Nullable Double quantity, Instant at) {
        String injector = records.evidenceFrom() == null ? "" : run.value(records.evidenceFrom());
        int probe = quantity == null ? 0 : quantity.intValue();
        return new BatteryEvent.KitFitted(at, InjectorKind.fitted(injector), probe == 0 ? null : (Integer) probe);
    }

    /** Bridged for as many days as the lead has allowed. */
    private static BatteryEvent bridged(Run run, Records records, int cell, Instant at) {
        String days = records.evidenceFrom() == null ? "" : run.value(records.evidenceFrom());
        Duration time = Duration.ofDays(days.isEmpty() ? 1 : Math.round(Double.parseDouble(days)));
        return new BatteryEvent.CellBridged(at, cell, at.plus(time));
    }

    private static @Nullable String serial(Run run, Records records) {
        String serial = records.evidenceFrom() == null ? "" : run.value(records.evidenceFrom());
        return serial.isEmpty() ? null : serial;
    }

    private static @Nullable Double quantity(Run run, Records records) {
        String value = records.quantityFrom() == null ? "" : run.value(records.quantityFrom());
        return value.isEmpty() ? null : (Double) Double.parseDouble(value.replace(',', '.'));
    }

    private static @Nullable Millilitres millilitres(@Nullable Double quantity) {
        return quantity == null ? null : Millilitres.of(quantity);
    }

    private static @Nullable Duration hours(@Nullable Double quantity) {
        return quantity == null ? null : Duration.ofSeconds(Math.round(quantity * 3600));
    }
}
