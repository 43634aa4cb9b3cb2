package org.ostendum.app.life;

import java.time.YearMonth;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.life.Lives.Life;
import org.ostendum.core.life.Budget;
import org.ostendum.core.life.RepairOrReplace;

/**
 * What the site's batteries will cost.
 *
 * @param what is done otherwise
 * @param unpriced codes of the types that nobody has said the price of
 * @param now as it is
 * @param other as it would be
 * @param eaten money that has gone into wear since each was bought
 * @param most money of a month, at the top of the chart
 */
record BudgetView(
        BudgetController.WhatIf what,
        List<Line> lines,
        List<String> unpriced,
        Budget now,
        Budget other,
        double eaten,
        List<Bar> bars,
        String most,
        String viewBox) {
    /** A line of the table. */
    record Line(
            Life life,
            YearMonth likely,
            YearMonth early,
            YearMonth late,
            double money,
            @Nullable Double perKwh,
            double eaten,
            @Nullable RepairOrReplace repair) {}

    /** A bar of the chart. */
    record Bar(double x, double width, double y, double height, double otherY, double otherHeight, String label) {}

    public BudgetController.WhatIf[] whats() {
        return BudgetController.WhatIf.values();
    }
}
