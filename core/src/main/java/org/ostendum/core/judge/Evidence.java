package org.ostendum.core.judge;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.quantity.Volts;

/** The figures that a finding rests on, one record for each kind of finding; what its members are called is a contract with programs outside. */
public sealed interface Evidence {
    /** @return every figure that is known, in order */
    default List<Figure> figures() {
        List<Figure> figures = new ArrayList<>();
        for (RecordComponent component : getClass().getRecordComponents()) {
            Object value = valueOf(component);
            if (value != null) {
                figures.add(new Figure(component.getName(), value instanceof Enum<?> word ? word.name() : value));
            }
        }
        return figures;
    }

    private @Nullable Object valueOf(RecordComponent component) {
        try {
            return component.getAccessor().invoke(this);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("A member that cannot be read: " + component, e);
        }
    }

    /** A reading that stands out of the usual scatter. */
    record OutOfScatter(GravityDifference usualScatter) implements Evidence {}

    record Doubted(Doubt doubt) implements Evidence {}

    /** @param level as it was seen */
    record SeenLevel(String level) implements Evidence {}

    record SeenColour(Colour colour) implements Evidence {}

    /**
     * A cell that stands below the others.
     *
     * @param millivoltsAboveOnCharge above the median of the cells on charge; null where voltages were not read
     */
    record BelowMedian(
            CorrectedGravity gravity,
            CorrectedGravity median,
            GravityDifference belowMedian,
            @Nullable Integer millivoltsAboveOnCharge)
            implements Evidence {}

    /**
     * A cell, or a block, that has come down against the others from round to round.
     *
     * @param millivoltsAboveOnCharge above the median of the cells on charge; null where voltages were not read
     */
    record Fallen(GravityDifference fallen, @Nullable Integer millivoltsAboveOnCharge) implements Evidence {}

    /**
     * A cell that has come down since the last round, as two samples of it say.
     *
     * @param millivoltsAboveOnCharge above the median of the cells on charge; null where voltages were not read
     */
    record Dropped(GravityDifference dropped, @Nullable Integer millivoltsAboveOnCharge) implements Evidence {}

    /** One cell above the others. */
    record AboveMedian(GravityDifference aboveMedian) implements Evidence {}

    /** All cells above what a full charge gives. */
    record AllAbove(CorrectedGravity median) implements Evidence {}

    /** A cell's voltage below that of the others at rest. */
    record BelowAtRest(Volts volts, int millivoltsBelow) implements Evidence {}

    /** How often one cell was the low one, of so many rounds. */
    record OftenLow(int timesLow, int rounds) implements Evidence {}

    /** More water than the charge explains. */
    record Poured(int pouredMillilitres, int expectedMillilitres) implements Evidence {}

    record Uneven(GravityDifference spread, int lowestCell) implements Evidence {}

    /**
     * A battery that is low as a whole.
     *
     * @param returnedPercent of what was taken out; null where that is not on record
     * @param riseByEqualising null where no equalising tells
     */
    record LowAsAWhole(
            CorrectedGravity median, @Nullable Integer returnedPercent, @Nullable GravityDifference riseByEqualising)
            implements Evidence {}

    /** What its discharges reach of late, and how much that is of what they reached at first. */
    record Ceiling(int ceilingAmpHours, int percentOfBeginning) implements Evidence {}

    record HotNow(Celsius warmest) implements Evidence {}

    record HotOnCharge(Celsius hottest, int times) implements Evidence {}

    record NearFreezing(CorrectedGravity gravity, Celsius freezesAt) implements Evidence {}

    /** A cell or block whose voltage stands out. */
    record AtPlace(int place, Volts volts) implements Evidence {}

    /** Rest voltage and gravity that tell two stories. */
    record VoltsApart(CorrectedGravity gravity, int millivoltsApart) implements Evidence {}
}
