package org.ostendum.web.charging;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.gas.GasBudget;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.web.charging.ChargingView.Running;
import org.ostendum.web.devices.Hearings;
import org.ostendum.web.state.BatteryStates;
import org.ostendum.web.store.RoomPlan;
import org.ostendum.web.store.Rooms;
import org.springframework.stereotype.Service;

/** The hydrogen of the room over the hours to come: from what the sensor says now, or from nothing where none is heard. */
@Service
class RoomGas {
    private static final Duration AHEAD = Duration.ofHours(12);
    /** A charge begins to gas when so much of its time is gone (rule of thumb). */
    private static final double GASSES_FROM = 0.6;

    private static final Celsius ROOM = Celsius.of(20);
    /** Finishing current of a charger's plate current. */
    private static final double FINISH_OF_PLATE = 0.25;

    private final Rooms rooms;
    private final Hearings hearings;
    private final BatteryStates batteryStates;

    RoomGas(Rooms rooms, Hearings hearings, BatteryStates batteryStates) {
        this.rooms = rooms;
        this.hearings = hearings;
        this.batteryStates = batteryStates;
    }

    /**
     * The room's air foreseen.
     *
     * @param air m³/h with which it was reckoned
     */
    record Ahead(List<GasBudget.Moment> moments, double air) {
        double most() {
            return moments.stream()
                    .mapToDouble(GasBudget.Moment::fraction)
                    .max()
                    .orElse(0);
        }
    }

    /** @return what the sensor of the first room says; null where none is heard */
    @Nullable
    AirStatus measured() {
        return rooms.names().stream()
                .flatMap(room -> hearings.air(room.id()).stream())
                .findFirst()
                .orElse(null);
    }

    /** @param fanOff whether it is to be foreseen without the fan */
    Ahead ahead(List<Running> running, boolean fanOff) {
        return foreseen(running.stream().map(RoomGas::source).toList(), fanOff);
    }

    /** @return as it would be with one battery more, put on charge now */
    Ahead with(List<Running> running, BatteryModel model, Duration whole) {
        Instant now = batteryStates.instant();
        List<GasBudget.Source> sources =
                new ArrayList<>(running.stream().map(RoomGas::source).toList());
        sources.add(source("", model, now, now.plus(whole), whole));
        AirStatus air = measured();
        return foreseen(sources, air != null && !air.isFanOn());
    }

    private Ahead foreseen(List<GasBudget.Source> sources, boolean fanOff) {
        List<RoomPlan> plans = rooms.plans();
        double air = fanOff ? 0 : airWanted(plans);
        AirStatus measured = measured();
        if (plans.isEmpty() || sources.isEmpty()) {
            return new Ahead(List.of(), air);
        }
        double already = measured == null ? 0 : measured.fraction();
        return new Ahead(
                new GasBudget(new CubicMetres(plans.get(0).cubicMetres()), new CubicMetres(air), ROOM)
                        .ahead(sources, already, batteryStates.instant(), AHEAD),
                air);
    }

    private static GasBudget.Source source(Running running) {
        return source(
                running.battery().code(),
                running.battery().type().model(),
                running.since(),
                running.since().plus(running.whole().late()),
                running.whole().likely());
    }

    private static GasBudget.Source source(
            String battery, BatteryModel model, Instant since, Instant until, Duration likely) {
        Instant from = since.plusSeconds(Math.round(likely.toSeconds() * GASSES_FROM));
        return new GasBudget.Source(battery, model.cells(), ChargeSums.finish(model.capacity()), from, until);
    }

    /** What all chargers of the rooms want when they finish at once. */
    private static double airWanted(List<RoomPlan> plans) {
        return plans.stream()
                .flatMap(RoomPlan::chargers)
                .mapToDouble(c -> Gassing.airPerHour(c.cells(), new Amperes(c.amps() * FINISH_OF_PLATE))
                        .cubicMetres())
                .sum();
    }
}
