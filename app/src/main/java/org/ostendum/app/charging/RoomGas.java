package org.ostendum.app.charging;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charging.ChargingView.Running;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.gas.GasBudget;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.room.RoomAirflow;
import org.ostendum.core.room.RoomPlan;
import org.springframework.stereotype.Service;

/** The hydrogen of each room over the hours to come: from what the sensor says now, or from nothing where none is heard. */
@Service
class RoomGas {
    private static final Duration AHEAD = Duration.ofHours(12);
    /** A charge begins to gas when so much of its time is gone (rule of thumb). */
    private static final double GASSES_FROM = 0.6;

    private static final Celsius ROOM = Celsius.of(20);

    private final DeviceStatuses statuses;
    private final BatteryStates batteryStates;

    RoomGas(DeviceStatuses statuses, BatteryStates batteryStates) {
        this.statuses = statuses;
        this.batteryStates = batteryStates;
    }

    /**
     * The air of one room foreseen.
     *
     * @param room its name
     * @param batteries that gas in it, in the order of the moments' parts
     * @param air m³/h with which it was worked out
     * @param measured what its sensor says now; null where none is heard
     */
    record Ahead(
            String room,
            List<String> batteries,
            List<GasBudget.Moment> moments,
            double air,
            @Nullable AirStatus measured) {
        double most() {
            return moments.stream()
                    .mapToDouble(GasBudget.Moment::fraction)
                    .max()
                    .orElse(0);
        }
    }

    /**
     * @param plans rooms with their chargers
     * @param fanOff whether it is to be foreseen without the fan
     * @return the room in which most hydrogen is to be expected; null for a site without rooms
     */
    @Nullable
    Ahead worst(List<RoomPlan> plans, List<Running> running, boolean fanOff) {
        return plans.stream()
                .map(room -> foreseen(room, sources(room, running), fanOff))
                .max(Comparator.comparing(Ahead::most))
                .orElse(null);
    }

    /** @return the air of a room as it would be with one battery more, put on charge there now */
    Ahead with(RoomPlan room, List<Running> running, BatteryModel model, Duration whole) {
        Instant now = batteryStates.instant();
        List<GasBudget.Source> sources = new ArrayList<>(sources(room, running));
        sources.add(source("", model.cells(), model, now, now.plus(whole), whole));
        AirStatus air = statuses.air(room.id()).orElse(null);
        return foreseen(room, sources, air != null && !air.isFanOn());
    }

    private Ahead foreseen(RoomPlan room, List<GasBudget.Source> sources, boolean fanOff) {
        double air = fanOff ? 0 : RoomAirflow.cubicMetresPerHour(room);
        AirStatus measured = statuses.air(room.id()).orElse(null);
        if (sources.isEmpty()) {
            return new Ahead(room.name(), List.of(), List.of(), air, measured);
        }
        double already = measured == null ? 0 : measured.fraction();
        List<GasBudget.Moment> moments = new GasBudget(new CubicMetres(room.cubicMetres()), new CubicMetres(air), ROOM)
                .ahead(sources, already, batteryStates.instant(), AHEAD);
        return new Ahead(
                room.name(), sources.stream().map(GasBudget.Source::battery).toList(), moments, air, measured);
    }

    /** What charges in a room: by the charger it is on, else by where the battery stands. */
    private static List<GasBudget.Source> sources(RoomPlan room, List<Running> running) {
        return running.stream()
                .filter(r -> {
                    RoomPlan.Charger charger = r.charger();
                    return charger == null
                            ? room.code().equals(r.battery().roomCode())
                            : room.chargers().anyMatch(c -> c.id() == charger.id());
                })
                .map(RoomGas::source)
                .toList();
    }

    private static GasBudget.Source source(Running running) {
        return source(
                running.battery().code(),
                running.cells(),
                running.battery().type().model(),
                running.since(),
                running.since().plus(running.whole().late()),
                running.whole().likely());
    }

    private static GasBudget.Source source(
            String battery, int cells, BatteryModel model, Instant since, Instant until, Duration likely) {
        Instant from = since.plusSeconds(Math.round(likely.toSeconds() * GASSES_FROM));
        return new GasBudget.Source(battery, cells, ChargeSums.finish(model.capacity()), from, until);
    }
}
