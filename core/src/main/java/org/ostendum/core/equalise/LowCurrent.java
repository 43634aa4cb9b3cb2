package org.ostendum.core.equalise;

import java.time.Duration;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * A low current instead of a charger's own course. Practices {@code equalise.how} and {@code equalise.sulfated}; the
 * battery's and the charger's manuals come first.
 *
 * @param atMost after which it is ended, whatever has come of it
 */
public record LowCurrent(Amperes amperes, Duration atMost) {
    /** A for each Ah. */
    private static final double EQUALISING = 0.03;

    private static final Duration EQUALISING_AT_MOST = Duration.ofHours(12);
    private static final double PART_OF_HOUR_CURRENT = 0.10;
    /** Of flooded traction cells, rule of thumb. */
    private static final double PEUKERT = 1.20;

    public static LowCurrent toEqualise(BatteryModel model) {
        return new LowCurrent(rounded(EQUALISING * model.capacity().ampHours()), EQUALISING_AT_MOST);
    }

    /** A tenth of the current that would empty it in an hour: t = H (C ÷ (I H))^k with t = 1 h. */
    public static LowCurrent againstSulfate(BatteryModel model, Rules rules) {
        double rated = model.capacity().ampHours() / model.rateHours();
        double inAnHour = rated * Math.pow(model.rateHours(), 1 / PEUKERT);
        return new LowCurrent(rounded(PART_OF_HOUR_CURRENT * inAnHour), rules.duration(RuleKey.SULFATED_HOURS));
    }

    private static Amperes rounded(double amperes) {
        return new Amperes(Math.round(amperes * 10) / 10.0);
    }
}
