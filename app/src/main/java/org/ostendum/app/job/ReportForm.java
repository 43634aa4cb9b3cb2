package org.ostendum.app.job;

import jakarta.validation.constraints.PastOrPresent;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.safety.Incidents.Incident;
import org.ostendum.app.safety.Incidents.Report;

/**
 * The report of a spill as typed.
 *
 * @param kit day on which the kit was filled again; null for not yet
 * @param review a lead's last word; only asked where he closes it
 */
record ReportForm(
        @Needed @Text(max = LONGEST) String cause,
        @Needed @Text(max = LONGEST) String corrective,
        @Needed @Text(max = LONGEST) String prevention,
        @PastOrPresent(message = "{fault.date.future}") @Nullable LocalDate kit,
        @Nullable String review) {
    static final int LONGEST = 1000;

    static ReportForm of(@Nullable Incident incident, @Nullable String review) {
        return incident == null
                ? new ReportForm("", "", "", null, review)
                : new ReportForm(
                        incident.cause(),
                        incident.corrective(),
                        incident.prevention(),
                        incident.kitRefilledOn(),
                        review);
    }

    Report report() {
        return new Report(cause, corrective, prevention, kit);
    }
}
