package org.ostendum.core.state;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.fact.Sheet;

/** A six-cell motive battery of 300 Ah and what happened to it, told in hours before now. */
public final class Told {
    public static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");
    public static final BatteryModel SIX = new BatteryModel(
            "six",
            CellKind.FLOODED,
            Duty.MOTIVE,
            LayoutText.parse("1 2 3/6 5 4", 1),
            AmpHours.of(300),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private final List<BatteryEvent> events = new ArrayList<>();
    private BatteryModel model = SIX;
    private Surroundings around = Surroundings.NOTHING;

    public static Told nothing() {
        return new Told();
    }

    /** Read full and even yesterday with every level right, worked and charged by the book since, long cool. */
    public static Told inOrder() {
        return nothing()
                .watered(200, 400)
                .worked(190, 150)
                .charged(180, 168)
                .read(170, RoundState.FULL_CHARGE, Level.RIGHT, 1285, 1284, 1286, 1285, 1284, 1285)
                .worked(32, 150)
                .chargeBegun(30)
                .charged(20, 168);
    }

    public static Instant hoursAgo(double hours) {
        return NOW.minus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    public Told of(BatteryModel other) {
        model = other;
        return this;
    }

    public Told and(BatteryEvent... more) {
        events.addAll(Arrays.asList(more));
        return this;
    }

    public Told around(Surroundings now) {
        around = now;
        return this;
    }

    public Told worked(double hoursAgo, double ampHours) {
        return and(new BatteryEvent.Worked(hoursAgo(hoursAgo), ampHours == 0 ? null : AmpHours.of(ampHours)));
    }

    public Told chargeBegun(double hoursAgo) {
        return and(new BatteryEvent.ChargeStarted(hoursAgo(hoursAgo), ChargeKind.CONVENTIONAL, "C1"));
    }

    /** As plain records tell it. */
    public Told charged(double hoursAgo, double ampHours) {
        return and(BatteryEvent.ChargeEnded.unstated(hoursAgo(hoursAgo), ampHours == 0 ? null : AmpHours.of(ampHours)));
    }

    public Told ended(double hoursAgo, Ending how, @Nullable Double ampHours, FullSign... signs) {
        return and(new BatteryEvent.ChargeEnded(
                hoursAgo(hoursAgo), how, Set.of(signs), ampHours == null ? null : AmpHours.of(ampHours)));
    }

    public Told equalised(double hoursAgo) {
        return and(new BatteryEvent.Equalised(hoursAgo(hoursAgo), Duration.ofHours(3)));
    }

    public Told watered(double hoursAgo, int millilitres) {
        return watered(hoursAgo, millilitres, BatteryEvent.Fill.UNSTATED);
    }

    public Told watered(double hoursAgo, int millilitres, BatteryEvent.Fill fill) {
        return and(new BatteryEvent.Watered(
                hoursAgo(hoursAgo), millilitres == 0 ? null : new Millilitres(millilitres), null, fill));
    }

    public Told found(double hoursAgo, DefectKind kind) {
        return and(new BatteryEvent.DefectFound(hoursAgo(hoursAgo), "d" + kind.ordinal(), kind));
    }

    public Told righted(double hoursAgo, DefectKind kind) {
        return and(new BatteryEvent.DefectRighted(hoursAgo(hoursAgo), "d" + kind.ordinal()));
    }

    public Told warm(double hoursAgo, double celsius) {
        return and(new BatteryEvent.TemperatureRead(hoursAgo(hoursAgo), Celsius.of(celsius)));
    }

    /** A round without levels; a gravity of 0 was not read. */
    public Told read(double hoursAgo, RoundState state, int... points) {
        return read(hoursAgo, state, null, points);
    }

    public Told read(double hoursAgo, RoundState state, @Nullable Level level, int... points) {
        return and(new BatteryEvent.RoundTaken(round(hoursAgo, state, level, points)));
    }

    /** Levels alone, of the cells in their order. */
    public Told looked(double hoursAgo, Level... levels) {
        List<CellReading> readings = IntStream.range(0, levels.length)
                .mapToObj(i -> new CellReading(i + 1, null, false, false, null, null, false, levels[i], null))
                .toList();
        return and(new BatteryEvent.RoundTaken(new Round(hoursAgo(hoursAgo), RoundState.UNKNOWN, null, readings)));
    }

    public static Round round(double hoursAgo, RoundState state, @Nullable Level level, int... points) {
        List<CellReading> readings = new ArrayList<>();
        for (int i = 0; i < points.length; i++) {
            if (points[i] > 0) {
                readings.add(new CellReading(
                        i + 1, SpecificGravity.ofPoints(points[i]), false, false, null, null, false, level, null));
            }
        }
        return new Round(hoursAgo(hoursAgo), state, Celsius.of(25), readings);
    }

    public List<BatteryEvent> events() {
        return List.copyOf(events);
    }

    public Sheet sheet() {
        return new Sheet(model, Rules.standard());
    }

    public BatteryFold fold() {
        return BatteryFold.of(sheet(), ZoneOffset.UTC, events);
    }

    public BatteryState state() {
        return fold().at(NOW, around);
    }
}
