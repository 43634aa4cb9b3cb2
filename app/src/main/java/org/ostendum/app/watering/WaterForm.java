package org.ostendum.app.watering;

import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Within;
import org.ostendum.core.water.WaterQuality.Analysis;

/** An analysis of the site's water as typed, mg/l. */
record WaterForm(
        @Needed @Within(min = "0", max = "5000") @Nullable Double chloride,
        @Needed @Within(min = "0", max = "500") @Nullable Double iron,
        @Needed @Within(min = "0", max = "20000") @Nullable Double residue) {

    static final WaterForm BLANK = new WaterForm(null, null, null);

    /** The analysis that a form without faults makes. */
    Analysis analysis(Instant at) {
        return new Analysis(
                at, Objects.requireNonNull(chloride), Objects.requireNonNull(iron), Objects.requireNonNull(residue));
    }
}
