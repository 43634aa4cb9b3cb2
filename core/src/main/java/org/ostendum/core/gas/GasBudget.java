package org.ostendum.core.gas;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;

/**
 * The hydrogen of a room over the hours to come, by battery: V dc/dt = q(t) − Q c, stepped. Each charge gasses from when it
 * begins to finish until it is full. Gas gathers under the ceiling first, so that it is sooner there.
 */
public final class GasBudget {
    private static final Duration STEP = Duration.ofMinutes(5);

    private final CubicMetres room;
    private final CubicMetres air;
    private final Celsius celsius;

    /**
     * One charge as it is expected to go.
     *
     * @param from when it begins to gas
     * @param until when it ends
     */
    public record Source(String battery, int cells, Amperes gassing, Instant from, Instant until) {}

    /**
     * The room at a moment.
     *
     * @param byBattery part of the air that is each source's hydrogen, in the order of the sources
     */
    public record Moment(Instant at, List<Double> byBattery) {
        public Moment {
            byBattery = List.copyOf(byBattery);
        }

        /** @return all of it, part of the air */
        public double fraction() {
            return byBattery.stream().mapToDouble(Double::doubleValue).sum();
        }
    }

    /** @param air exchanged for each hour; 0 with the fan off */
    public GasBudget(CubicMetres room, CubicMetres air, Celsius celsius) {
        this.room = room;
        this.air = air;
        this.celsius = celsius;
    }

    /**
     * @param already of hydrogen in the room now, part of the air: told to no battery, it is the last of each moment
     * @return a moment every five minutes, the first now
     */
    public List<Moment> ahead(List<Source> sources, double already, Instant now, Duration span) {
        double[] held = new double[sources.size() + 1];
        held[sources.size()] = already;
        List<Moment> moments = new ArrayList<>();
        moments.add(moment(now, held));
        for (Instant at = now; at.isBefore(now.plus(span)); at = at.plus(STEP)) {
            step(sources, held, at);
            moments.add(moment(at.plus(STEP), held));
        }
        return moments;
    }

    private void step(List<Source> sources, double[] held, Instant at) {
        double hours = STEP.toSeconds() / 3600.0;
        double kept = Math.exp(-air.cubicMetres() * hours / room.cubicMetres());
        for (int i = 0; i < held.length; i++) {
            double given = i == sources.size() ? 0 : given(sources.get(i), at);
            // What comes in during a step is itself thinned by half a step's air.
            held[i] = held[i] * kept + given / room.cubicMetres() * Math.sqrt(kept);
        }
    }

    /** m³ within the step that begins now. */
    private double given(Source source, Instant at) {
        Instant from = source.from().isAfter(at) ? source.from() : at;
        Instant end = at.plus(STEP);
        Instant until = source.until().isBefore(end) ? source.until() : end;
        double hours = Math.max(0, Duration.between(from, until).toSeconds() / 3600.0);
        return hours == 0
                ? 0
                : hours
                        * Gassing.hydrogenPerHour(source.cells(), source.gassing(), celsius)
                                .cubicMetres();
    }

    private static Moment moment(Instant at, double[] held) {
        List<Double> byBattery = new ArrayList<>();
        for (double part : held) {
            byBattery.add(part);
        }
        return new Moment(at, byBattery);
    }

    /** @return when it first reaches a part of the air */
    public static Optional<Instant> reaches(List<Moment> moments, double fraction) {
        return moments.stream()
                .filter(m -> m.fraction() >= fraction)
                .map(Moment::at)
                .findFirst();
    }
}
