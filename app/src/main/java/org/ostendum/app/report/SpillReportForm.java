package org.ostendum.app.report;

import jakarta.validation.constraints.PastOrPresent;
import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.app.safety.Incidents.Incident;
import org.ostendum.app.safety.Incidents.Report;

/**
 * The report of a spill as typed.
 *
 * @param place where it was
 * @param litres that ran out; null where nobody can say
 * @param hurt how many people, 0 for nobody
 * @param kit day on which the kit was filled again; null for not yet
 * @param review a lead's last word; only asked where he closes it
 */
record SpillReportForm(
        @Needed @Text(max = SHORT) String place,
        @Within(min = "0", max = "9999") @Nullable Double litres,
        @Needed @Within(min = "0", max = "99") @Nullable Integer hurt,
        @Needed @Text(max = LONGEST) String cause,
        @Needed @Text(max = LONGEST) String corrective,
        @Needed @Text(max = LONGEST) String prevention,
        @PastOrPresent(message = "{fault.date.future}") @Nullable LocalDate kit,
        @Nullable String review) {
    static final int LONGEST = 1000;
    private static final int SHORT = 120;

    static SpillReportForm of(@Nullable Incident incident, @Nullable String review) {
        if (incident == null) {
            return new SpillReportForm("", null, null, "", "", "", null, review);
        }
        Report report = incident.report();
        return new SpillReportForm(
                report.place(),
                report.litres() == null ? null : (Double) report.litres().doubleValue(),
                report.hurt(),
                report.cause(),
                report.corrective(),
                report.prevention(),
                report.kitRefilledOn(),
                review);
    }

    Report report() {
        return new Report(
                place, litres == null ? null : BigDecimal.valueOf(litres), hurt, cause, corrective, prevention, kit);
    }
}
